import {
  arrangement,
  classChange,
  deletedClass,
  isId,
  newClass,
  newHouseRules,
  newSlips,
  newStaff,
  newStudents,
  endpoints,
  studentChange,
} from '@green-beam/contract';
import type { Request, Router } from 'express';
import { Problem } from '../http/problem';
import { route } from '../access/route';
import type { Services } from '../services';
import { atHandIn } from './atHand';
import { boardFor } from './board';
import { houseRulesFor, reviseHouseRules } from './houseRules';
import { managerOwns, ownerOwns, staffOwns } from '../access/membership';
import { arrange, benchesOf } from './benches';
import { changeClass, createClass } from './classes';
import { deleteClass } from './deleteClass';
import { moreTime } from '../http/deadline';
import { sendWholeClass } from './exportClass';
import { studentFor } from './student';
import { addStaff, removeStaff, staffOf } from './staff';
import { addStudents, changeStudent, makeSlips, removeStudent } from './roster';

export function classroomRoutes(router: Router, services: Services): void {
  route(router, endpoints.newClass, {
    allow: 'teacher',
    body: newClass,
    run: ({ who, body }) => createClass(services, who, body),
  });
  route(router, endpoints.changeClass, {
    allow: 'teacher',
    owns: managerOwns,
    body: classChange,
    run: ({ owned, body }) => changeClass(services, owned, body),
  });
  route(router, endpoints.staff, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ who, owned }) => staffOf(services, who, owned),
  });
  route(router, endpoints.addStaff, {
    allow: 'teacher',
    owns: ownerOwns,
    body: newStaff,
    run: ({ who, owned, body }) => addStaff(services, who, owned, body),
  });
  route(router, endpoints.removeStaff, {
    allow: 'teacher',
    owns: ownerOwns,
    run: ({ who, owned, params }) => removeStaff(services, who, owned, params['personId'] ?? ''),
  });
  route(router, endpoints.wholeClass, {
    allow: 'teacher',
    owns: managerOwns,
    run: ({ who, owned, response }) => sendWholeClass(services, who, owned, response),
  });
  route(router, endpoints.deleteClass, {
    allow: 'teacher',
    owns: ownerOwns,
    body: deletedClass,
    run: ({ owned, body }) => deleteClass(services, owned, body),
  });
  route(router, endpoints.benches, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ owned }) => benchesOf(services, owned),
  });
  route(router, endpoints.arrange, {
    allow: 'teacher',
    owns: managerOwns,
    body: arrangement,
    run: ({ owned, body }) => arrange(services, owned, body),
  });
  route(router, endpoints.board, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ who, owned, request }) => boardFor(services, who, owned, someStudents(request)),
  });
  route(router, endpoints.atHand, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ owned }) => atHandIn(services, owned),
  });
  route(router, endpoints.houseRules, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ who, owned }) => houseRulesFor(services, who, owned),
  });
  route(router, endpoints.reviseHouseRules, {
    allow: 'teacher',
    owns: managerOwns,
    body: newHouseRules,
    run: ({ who, owned, body }) => reviseHouseRules(services, who, owned, body),
  });
  route(router, endpoints.student, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ who, owned, params }) => studentFor(services, who, owned, params['studentId'] ?? ''),
  });
  route(router, endpoints.addStudents, {
    allow: 'teacher',
    owns: managerOwns,
    body: newStudents,
    run: ({ owned, body }) => addStudents(services, owned, body),
  });
  route(router, endpoints.changeStudent, {
    allow: 'teacher',
    owns: managerOwns,
    body: studentChange,
    run: ({ owned, params, body }) => changeStudent(services, owned, params['studentId'] ?? '', body),
  });
  route(router, endpoints.removeStudent, {
    allow: 'teacher',
    owns: managerOwns,
    run: ({ owned, params }) => removeStudent(services, owned, params['studentId'] ?? ''),
  });
  route(router, endpoints.makeSlips, {
    allow: 'teacher',
    owns: managerOwns,
    body: newSlips,
    run: ({ owned, body, response }) => makeSlips(services, owned, body, () => moreTime(response)),
  });
}

/** `?students=id,id`: only these. @throws Problem for what is no list of ids */
function someStudents({ query }: Request): readonly string[] | null {
  const { students } = query;
  if (students === undefined) return null;
  const ids = typeof students === 'string' ? students.split(',') : [];
  if (ids.length === 0 || ids.length > 400 || !ids.every(isId))
    throw new Problem('not-valid', 'The students that are asked for could not be read.');
  return ids;
}
