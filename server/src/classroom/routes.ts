import { newClass, newSlips, newStudents, paths, studentChange, type Who } from '@green-beam/contract';
import type { Router } from 'express';
import { route } from '../http/route';
import type { Services } from '../services';
import { boardFor } from './board';
import { mayManage, staffRoleIn } from './membership';
import { addStudents, allowSpoken, createClass, makeSlips } from './roster';

interface ClassCall {
  readonly who: Who;
  readonly params: Readonly<Record<string, string>>;
}

export function classroomRoutes(router: Router, services: Services): void {
  const { database } = services;
  const isStaff = async ({ who, params }: ClassCall) =>
    void (await staffRoleIn(database, params['classId'] ?? '', who));
  const manages = ({ who, params }: ClassCall) => mayManage(database, params['classId'] ?? '', who);

  route(router, {
    method: 'post',
    path: paths.classes,
    allow: 'teacher',
    body: newClass,
    run: ({ who, body }) => createClass(services, who, body),
  });
  route(router, {
    method: 'get',
    path: paths.board,
    allow: 'teacher',
    owns: isStaff,
    run: ({ who, params }) => boardFor(services, who, params['classId'] ?? ''),
  });
  route(router, {
    method: 'post',
    path: paths.students,
    allow: 'teacher',
    owns: manages,
    body: newStudents,
    run: ({ params, body }) => addStudents(services, params['classId'] ?? '', body),
  });
  route(router, {
    method: 'post',
    path: paths.student,
    allow: 'teacher',
    owns: manages,
    body: studentChange,
    run: ({ params, body }) =>
      allowSpoken(services, params['classId'] ?? '', params['studentId'] ?? '', body.spoken),
  });
  route(router, {
    method: 'post',
    path: paths.slips,
    allow: 'teacher',
    owns: manages,
    body: newSlips,
    run: ({ params, body }) => makeSlips(services, params['classId'] ?? '', body),
  });
}
