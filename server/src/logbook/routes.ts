import { newEntry, paths } from '@green-beam/contract';
import type { Router } from 'express';
import { route } from '../http/route';
import type { Services } from '../services';
import { addEntry, logbookFor, logbooksFor, mayReadLogbook, openLogbook } from './service';

export function logbookRoutes(router: Router, services: Services): void {
  route(router, {
    method: 'get',
    path: paths.logbooks,
    allow: 'student',
    run: ({ who }) => logbooksFor(services, who),
  });
  route(router, {
    method: 'post',
    path: paths.openLogbook,
    allow: 'student',
    // An investigation belongs to a class; `openLogbook` refuses those of other classes.
    owns: async () => undefined,
    run: ({ who, params }) => openLogbook(services, who, params['investigationId'] ?? ''),
  });
  route(router, {
    method: 'get',
    path: paths.logbook,
    allow: 'signed-in',
    owns: ({ who, params }) => mayReadLogbook(services, who, params['logbookId'] ?? ''),
    run: ({ who, params }) => logbookFor(services, who, params['logbookId'] ?? ''),
  });
  route(router, {
    method: 'post',
    path: paths.entries,
    allow: 'student',
    owns: ({ who, params }) => mayReadLogbook(services, who, params['logbookId'] ?? ''),
    body: newEntry,
    run: ({ who, params, body }) => addEntry(services, who, params['logbookId'] ?? '', body),
  });
}
