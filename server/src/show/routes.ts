import { newShow, newStationShow, paths, takeShow as takeShowBody, type Who } from '@green-beam/contract';
import type { Router } from 'express';
import { mayManage, staffRoleIn } from '../classroom/membership';
import { route } from '../http/route';
import type { Services } from '../services';
import { endShow, ofShowsClass, showDrawn, showFor, showStation, staffShowFor, takeShow } from './service';

interface Named {
  readonly who: Who;
  readonly params: Readonly<Record<string, string>>;
}

export function showRoutes(router: Router, services: Services): void {
  const { database } = services;
  const isStaff = async ({ who, params }: Named) =>
    void (await staffRoleIn(database, params['classId'] ?? '', who));
  const manages = ({ who, params }: Named) => mayManage(database, params['classId'] ?? '', who);

  route(router, {
    method: 'get',
    path: paths.show,
    allow: 'student',
    run: ({ who }) => showFor(services, who),
  });
  route(router, {
    method: 'post',
    path: paths.takeShow,
    allow: 'student',
    owns: ({ who, params }) => ofShowsClass(services, who, params['showId'] ?? ''),
    body: takeShowBody,
    run: ({ who, params, body }) => takeShow(services, who, params['showId'] ?? '', body.id),
  });
  route(router, {
    method: 'get',
    path: paths.classShow,
    allow: 'teacher',
    owns: isStaff,
    run: ({ who, params }) => staffShowFor(services, who, params['classId'] ?? ''),
  });
  route(router, {
    method: 'post',
    path: paths.classShow,
    allow: 'teacher',
    owns: manages,
    body: newShow,
    run: ({ who, params, body }) => showDrawn(services, who, params['classId'] ?? '', body),
  });
  route(router, {
    method: 'post',
    path: paths.classStation,
    allow: 'teacher',
    owns: manages,
    body: newStationShow,
    run: ({ who, params, body }) => showStation(services, who, params['classId'] ?? '', body),
  });
  route(router, {
    method: 'delete',
    path: paths.classShow,
    allow: 'teacher',
    owns: manages,
    run: ({ params }) => endShow(services, params['classId'] ?? ''),
  });
}
