import {
  investigationChange,
  newBlock,
  newEntry,
  newInvestigation,
  newPhoto,
  paths,
  type Who,
} from '@green-beam/contract';
import type { Router } from 'express';
import { route } from '../http/route';
import type { Services } from '../services';
import { mayManage, staffRoleIn } from '../classroom/membership';
import { addBlock, addEntry, addPhoto, photoOf } from './entries';
import { changeInvestigation, investigationsOf, keepInvestigation } from './investigations';
import { entriesAfter, logbookFor, logbooksFor, mayReadLogbook, openLogbook } from './service';

interface Asked {
  readonly who: Who;
  readonly params: Readonly<Record<string, string>>;
}

export function logbookRoutes(router: Router, services: Services): void {
  const mayRead = ({ who, params }: Asked) => mayReadLogbook(services, who, params['logbookId'] ?? '');
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
    owns: mayRead,
    run: ({ who, params }) => logbookFor(services, who, params['logbookId'] ?? ''),
  });
  route(router, {
    method: 'post',
    path: paths.entries,
    allow: 'student',
    owns: mayRead,
    body: newEntry,
    run: ({ who, params, body }) => addEntry(services, who, params['logbookId'] ?? '', body),
  });
  route(router, {
    method: 'get',
    path: paths.entries,
    allow: 'signed-in',
    owns: mayRead,
    run: ({ params, request }) =>
      entriesAfter(services.database, params['logbookId'] ?? '', Number(request.query['after']) || 0),
  });
  route(router, {
    method: 'post',
    path: paths.blocks,
    allow: 'student',
    owns: mayRead,
    body: newBlock,
    run: ({ who, params, body }) => addBlock(services, who, params['logbookId'] ?? '', body),
  });
  route(router, {
    method: 'post',
    path: paths.photos,
    allow: 'student',
    owns: mayRead,
    body: newPhoto,
    run: ({ who, params, body }) => addPhoto(services, who, params['logbookId'] ?? '', body),
  });
  route(router, {
    method: 'get',
    path: paths.photo,
    allow: 'signed-in',
    owns: mayRead,
    run: async ({ params, response }) => {
      const { mediaType, bytes } = await photoOf(
        services,
        params['logbookId'] ?? '',
        params['photoId'] ?? '',
      );
      response.set('cache-control', 'private, max-age=31536000, immutable').type(mediaType).send(bytes);
    },
  });
  investigationRoutes(router, services);
}

function investigationRoutes(router: Router, services: Services): void {
  const { database } = services;
  const manages = ({ who, params }: Asked) => mayManage(database, params['classId'] ?? '', who);
  route(router, {
    method: 'get',
    path: paths.investigations,
    allow: 'teacher',
    owns: async ({ who, params }) => void (await staffRoleIn(database, params['classId'] ?? '', who)),
    run: ({ params }) => investigationsOf(services, params['classId'] ?? ''),
  });
  route(router, {
    method: 'post',
    path: paths.investigations,
    allow: 'teacher',
    owns: manages,
    body: newInvestigation,
    run: ({ params, body }) => keepInvestigation(services, params['classId'] ?? '', body),
  });
  route(router, {
    method: 'post',
    path: paths.investigation,
    allow: 'teacher',
    owns: manages,
    body: investigationChange,
    run: ({ params, body }) =>
      changeInvestigation(services, params['classId'] ?? '', params['investigationId'] ?? '', body.retired),
  });
}
