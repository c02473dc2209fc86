import {
  endpoints,
  newCalculation,
  newDrill,
  newDrillAttempt,
  newRearranged,
  newSpotted,
} from '@green-beam/contract';
import type { Router } from 'express';
import { route, type Named } from '../access/route';
import { paces } from '../http/pace';
import { writable } from '../logbook/service';
import type { Services } from '../services';
import { answerDrill, drillAnswer, drillsFor, layOutDrill, ownItem } from './drills';
import { conventionsOf, keepCalculation } from './calculations';
import { keepRearranged, keepSpotted } from './practised';

export function figuresRoutes(router: Router, services: Services): void {
  const owns = ({ who, params }: Named) => ownItem(services, who, params['itemId'] ?? '');
  /** A formula can be long work. @throws Problem */
  const paced = (personId: string) =>
    services.paces.count('formula', personId, services.now().getTime(), paces.formulas);
  route(router, endpoints.conventions, {
    allow: 'signed-in',
    run: ({ who }) => conventionsOf(services, who),
  });
  route(router, endpoints.drills, {
    allow: 'signed-in',
    run: ({ who }) => drillsFor(services, who),
  });
  route(router, endpoints.newDrillItem, {
    allow: 'signed-in',
    body: newDrill,
    run: ({ who, body }) => layOutDrill(services, who, body),
  });
  route(router, endpoints.drillItem, {
    allow: 'signed-in',
    owns,
    run: ({ owned }) => drillAnswer(services, owned),
  });
  route(router, endpoints.drillAttempt, {
    allow: 'signed-in',
    owns,
    body: newDrillAttempt,
    run: ({ who, owned, body }) => answerDrill(services, who, owned, body),
  });
  route(router, endpoints.rearranged, {
    allow: 'signed-in',
    body: newRearranged,
    run: ({ who, body }) => {
      paced(who.id);
      return keepRearranged(services, who, body);
    },
  });
  route(router, endpoints.spotted, {
    allow: 'signed-in',
    body: newSpotted,
    run: ({ who, body }) => keepSpotted(services, who, body),
  });
  route(router, endpoints.keepCalculation, {
    allow: 'signed-in',
    owns: ({ who, params }) => writable(services, who, params['logbookId'] ?? ''),
    body: newCalculation,
    run: ({ who, owned, body }) => {
      paced(who.id);
      return keepCalculation(services, who, owned, body);
    },
  });
}
