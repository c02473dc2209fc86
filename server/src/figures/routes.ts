import { newCalculation, newDrill, newDrillAttempt, paths, type Who } from '@green-beam/contract';
import type { Router } from 'express';
import { route } from '../http/route';
import { mayReadLogbook } from '../logbook/service';
import type { Services } from '../services';
import { answerDrill, conventionsOf, drillFor, drillsFor, keepCalculation, layOutDrill } from './service';

interface Named {
  readonly who: Who;
  readonly params: Readonly<Record<string, string>>;
}

export function figuresRoutes(router: Router, services: Services): void {
  const owns = async ({ who, params }: Named) => void (await drillFor(services, who, params['itemId'] ?? ''));
  route(router, {
    method: 'get',
    path: paths.conventions,
    allow: 'signed-in',
    run: ({ who }) => conventionsOf(services, who),
  });
  route(router, {
    method: 'get',
    path: paths.drills,
    allow: 'signed-in',
    run: ({ who }) => drillsFor(services, who),
  });
  route(router, {
    method: 'post',
    path: paths.drillItems,
    allow: 'signed-in',
    body: newDrill,
    run: ({ who, body }) => layOutDrill(services, who, body),
  });
  route(router, {
    method: 'get',
    path: paths.drillItem,
    allow: 'signed-in',
    owns,
    run: ({ who, params }) => drillFor(services, who, params['itemId'] ?? ''),
  });
  route(router, {
    method: 'post',
    path: paths.drillAttempts,
    allow: 'signed-in',
    owns,
    body: newDrillAttempt,
    run: ({ who, params, body }) => answerDrill(services, who, params['itemId'] ?? '', body),
  });
  route(router, {
    method: 'post',
    path: paths.calculations,
    allow: 'student',
    owns: ({ who, params }) => mayReadLogbook(services, who, params['logbookId'] ?? ''),
    body: newCalculation,
    run: ({ who, params, body }) => keepCalculation(services, who, params['logbookId'] ?? '', body),
  });
}
