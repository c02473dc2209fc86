import { endpoints, isId, newComparison } from '@green-beam/contract';
import type { Request, Router } from 'express';
import { managerOwns, staffOwns } from '../access/membership';
import { route } from '../access/route';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import { comparisonsOf, keepComparison, removeComparison } from './kept';
import { readingsOf, type Wanted } from './readings';

export function compareRoutes(router: Router, services: Services): void {
  route(router, endpoints.readings, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ who, owned, request }) => readingsOf(services, who, owned, wantedBy(request)),
  });
  route(router, endpoints.comparisons, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ owned }) => comparisonsOf(services, owned),
  });
  route(router, endpoints.keepComparison, {
    allow: 'teacher',
    owns: managerOwns,
    body: newComparison,
    run: ({ owned, body }) => keepComparison(services, owned, body),
  });
  route(router, endpoints.removeComparison, {
    allow: 'teacher',
    owns: managerOwns,
    run: ({ owned, params }) => removeComparison(services, owned, params['comparisonId'] ?? ''),
  });
}

/** `?kind=` or `?question=`. @throws Problem for what is neither */
function wantedBy({ query }: Request): Wanted {
  const { kind = null, question = null } = query;
  if (kind !== null && (typeof kind !== 'string' || kind.length > 40))
    throw new Problem('not-valid', 'The kind that is asked for could not be read.');
  if (question !== null && (typeof question !== 'string' || !isId(question)))
    throw new Problem('not-valid', 'The question that is asked for could not be read.');
  return { kind, questionId: question };
}
