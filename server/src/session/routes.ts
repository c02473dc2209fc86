import { paths, studentSignIn, teacherSignIn, type SessionAnswer, type Who } from '@green-beam/contract';
import type { Request, Router } from 'express';
import type { Services } from '../services';
import { route } from '../http/route';
import { signInStudent, signInTeacher, whoIs } from './service';

declare module 'express-session' {
  interface SessionData {
    who: Who;
  }
}

export function sessionRoutes(router: Router, { database, limits }: Services): void {
  const door = (request: Request) => ({ database, limits, address: request.ip ?? 'unknown' });

  route(router, {
    method: 'get',
    path: paths.session,
    allow: 'anyone',
    run: async ({ request }): Promise<SessionAnswer> => {
      const { who } = request.session;
      if (!who) return { who: null };
      // Classes may have changed since the sign-in.
      const person = await database.models.people.findByPk(who.id);
      if (!person) return { who: null };
      request.session.who = await whoIs(database, person);
      return { who: request.session.who };
    },
  });
  route(router, {
    method: 'post',
    path: paths.teacherSession,
    allow: 'anyone',
    body: teacherSignIn,
    run: async ({ request, body }) => enter(request, await signInTeacher(door(request), body)),
  });
  route(router, {
    method: 'post',
    path: paths.studentSession,
    allow: 'anyone',
    body: studentSignIn,
    run: async ({ request, body }) => enter(request, await signInStudent(door(request), body)),
  });
  route(router, {
    method: 'delete',
    path: paths.session,
    allow: 'anyone',
    run: async ({ request, response }): Promise<SessionAnswer> => {
      await new Promise<void>((resolve, reject) =>
        request.session.destroy((error) => (error ? reject(error) : resolve())),
      );
      response.clearCookie('green-beam');
      return { who: null };
    },
  });
}

/** Starts a fresh session, so that an id from before the sign-in is worth nothing after it. */
async function enter(request: Request, who: Who): Promise<SessionAnswer> {
  await new Promise<void>((resolve, reject) =>
    request.session.regenerate((error) => (error ? reject(error) : resolve())),
  );
  request.session.who = who;
  await new Promise<void>((resolve, reject) =>
    request.session.save((error) => (error ? reject(error) : resolve())),
  );
  return { who };
}
