import { endpoints, newInitials, newReview } from '@green-beam/contract';
import type { Router } from 'express';
import { mayManage, staffOwns, staffRoleIn } from '../access/membership';
import { route, type Named } from '../access/route';
import { endChecksOf } from '../calls/service';
import { addInitials } from '../logbook/entries';
import { readable } from '../logbook/service';
import type { Services } from '../services';
import { handBack, marksOf, reviewsFor } from './service';

export function reviewRoutes(router: Router, services: Services): void {
  const owns = ({ who, params }: Named) => readable(services, who, params['logbookId'] ?? '');
  route(router, endpoints.reviews, {
    allow: 'signed-in',
    owns,
    run: ({ who, owned }) => reviewsFor(services, who, owned),
  });
  route(router, endpoints.handBack, {
    allow: 'teacher',
    owns: async (named) => {
      const book = await owns(named);
      mayManage(book.investigation.classId, named.who);
      return book;
    },
    body: newReview,
    run: ({ who, owned, body }) => handBack(services, who, owned, body),
  });
  route(router, endpoints.initial, {
    allow: 'teacher',
    owns: async (named) => {
      const book = await owns(named);
      staffRoleIn(book.investigation.classId, named.who);
      return book;
    },
    body: newInitials,
    run: async ({ who, owned, body }) => {
      const arrived = await addInitials(services, who, owned, body);
      await endChecksOf(services, owned.id);
      return arrived;
    },
  });
  route(router, endpoints.marks, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ who, owned }) => marksOf(services, who, owned),
  });
}
