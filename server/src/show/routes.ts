import { newShow, newStationShow, endpoints, takeShow as takeShowBody } from '@green-beam/contract';
import type { Router } from 'express';
import { managerOwns, staffOwns } from '../access/membership';
import { route } from '../access/route';
import type { Services } from '../services';
import { endShow, ofShowsClass, showDrawn, showFor, showStation, staffShowFor, takeShow } from './service';

export function showRoutes(router: Router, services: Services): void {
  route(router, endpoints.show, {
    allow: 'student',
    run: ({ who }) => showFor(services, who),
  });
  route(router, endpoints.takeShow, {
    allow: 'student',
    owns: ({ who, params }) => ofShowsClass(services, who, params['showId'] ?? ''),
    body: takeShowBody,
    run: ({ who, owned, body }) => takeShow(services, who, owned, body.id),
  });
  route(router, endpoints.classShow, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ owned }) => staffShowFor(services, owned),
  });
  route(router, endpoints.newShow, {
    allow: 'teacher',
    owns: managerOwns,
    body: newShow,
    run: ({ who, owned, body }) => showDrawn(services, who, owned, body),
  });
  route(router, endpoints.newStation, {
    allow: 'teacher',
    owns: managerOwns,
    body: newStationShow,
    run: ({ who, owned, body }) => showStation(services, who, owned, body),
  });
  route(router, endpoints.endShow, {
    allow: 'teacher',
    owns: managerOwns,
    run: ({ owned }) => endShow(services, owned),
  });
}
