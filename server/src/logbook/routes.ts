import {
  blockOutline,
  blockSlice,
  investigationChange,
  newEntry,
  newFreeLogbook,
  newInvestigation,
  endpoints,
  type NewEntry,
} from '@green-beam/contract';
import type { Request, Response, Router } from 'express';
import { moreTime } from '../http/deadline';
import { paces } from '../http/pace';
import { Problem } from '../http/problem';
import { atLeisure } from '../inTurn';
import { route, validated, type Named } from '../access/route';
import type { Services } from '../services';
import { managerOwns, staffOwns } from '../access/membership';
import { addEntries } from './entries';
import { beginLogbook, beginsIn } from './free';
import { changeInvestigation, investigationsOf, keepInvestigation } from './investigations';
import { poolOf } from './pool';
import { addPhoto, sendPhoto } from './photos';
import {
  entriesAfter,
  logbookFor,
  logbooksFor,
  ofOwnClass,
  openLogbook,
  readable,
  writable,
} from './service';

export function logbookRoutes(router: Router, services: Services): void {
  const owns = ({ who, params }: Named) => readable(services, who, params['logbookId'] ?? '');
  const writes = ({ who, params }: Named) => writable(services, who, params['logbookId'] ?? '');
  route(router, endpoints.logbooks, {
    allow: 'signed-in',
    run: ({ who }) => logbooksFor(services, who),
  });
  route(router, endpoints.beginLogbook, {
    allow: 'signed-in',
    owns: ({ who, params }) => beginsIn(services, who, params['classId'] ?? ''),
    body: newFreeLogbook,
    run: ({ who, owned, body }) => beginLogbook(services, who, owned, body),
  });
  route(router, endpoints.openLogbook, {
    allow: 'student',
    owns: ({ who, params }) => ofOwnClass(services, who, params['investigationId'] ?? ''),
    run: ({ who, owned }) => openLogbook(services, who, owned),
  });
  route(router, endpoints.logbook, {
    allow: 'signed-in',
    owns,
    run: ({ who, owned }) => logbookFor(services, who, owned),
  });
  route(router, endpoints.newEntry, {
    allow: 'signed-in',
    owns: writes,
    body: newEntry,
    run: ({ who, owned, body }) => addEntries(services, who, owned, [body], null),
  });
  route(router, endpoints.entries, {
    allow: 'signed-in',
    owns,
    run: ({ owned, request }) => entriesAfter(services.database, owned.id, after(request)),
  });
  route(router, endpoints.newBlock, {
    allow: 'signed-in',
    owns: writes,
    body: blockOutline,
    run: async ({ who, owned, body, response }) => {
      if (body.entries.length > largeBlock)
        services.paces.count('block', who.id, services.now().getTime(), paces.blocks);
      return addEntries(services, who, owned, await looked(body.entries, response), body.id);
    },
  });
  route(router, endpoints.keepPhoto, {
    allow: 'signed-in',
    owns: writes,
    run: ({ who, owned, params, request, response }) =>
      addPhoto(services, who, owned, params['photoId'] ?? '', request, response),
  });
  route(router, endpoints.photo, {
    allow: 'signed-in',
    owns,
    run: ({ owned, params, request, response }) =>
      sendPhoto(services, owned, params['photoId'] ?? '', request, response),
  });
  investigationRoutes(router, services);
}

/** Of pasted tables that are larger, one sends only so many. */
const largeBlock = 400;
const sliceLength = 25;

/** Looks at many entries some at a time, so that others are answered in between. @throws Problem */
async function looked(entries: readonly unknown[], response: Response): Promise<NewEntry[]> {
  const slices = Array.from({ length: Math.ceil(entries.length / sliceLength) }, (_, nth) =>
    entries.slice(nth * sliceLength, (nth + 1) * sliceLength),
  );
  const checked = await atLeisure(slices, (slice) => {
    moreTime(response);
    return validated(blockSlice, slice);
  });
  return checked.flat();
}

/** `?after=17`; from the beginning without it. @throws Problem for what is no such number */
function after({ query }: Request): number {
  const text = query['after'] ?? '0';
  if (typeof text !== 'string' || !/^\d{1,15}$/.test(text))
    throw new Problem('not-valid', 'After which entry could not be read.');
  return Number(text);
}

function investigationRoutes(router: Router, services: Services): void {
  route(router, endpoints.investigations, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ who, owned }) => investigationsOf(services, who, owned),
  });
  route(router, endpoints.newInvestigation, {
    allow: 'teacher',
    owns: managerOwns,
    body: newInvestigation,
    run: ({ owned, body }) => keepInvestigation(services, owned, body),
  });
  route(router, endpoints.pool, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ who, owned, params }) => poolOf(services, who, owned, params['investigationId'] ?? ''),
  });
  route(router, endpoints.changeInvestigation, {
    allow: 'teacher',
    owns: managerOwns,
    body: investigationChange,
    run: ({ owned, params, body }) =>
      changeInvestigation(services, owned, params['investigationId'] ?? '', body.retired),
  });
}
