import {
  isId,
  newPassword,
  endpoints,
  studentSignIn,
  teacherSignIn,
  type SessionAnswer,
} from '@green-beam/contract';
import type { Request, Response, Router } from 'express';
import { randomUUID } from 'node:crypto';
import type { Services } from '../services';
import { route } from '../access/route';
import type { PersonRow } from '../database/models';
import { sessionLimits, whoOf, type Caller } from '../access/caller';
import { changePassword, endSessions, signInStudent, signInTeacher } from './service';
import { hashOf } from './store';

/** The names of the cookies. Behind HTTPS a browser takes them from no other host and no other path. */
export const cookieNames = (secure: boolean) => {
  const prefix = secure ? '__Host-' : '';
  return { session: `${prefix}green-beam`, device: `${prefix}green-beam-device` } as const;
};

const deviceDays = 400;

export function sessionRoutes(
  router: Router,
  services: Services,
  { secureCookie }: { secureCookie: boolean },
): void {
  const names = cookieNames(secureCookie);

  /** Which browser this is; one that has no name yet gets one. A caller that keeps no cookies counts by its address. */
  const deviceOf = (request: Request): string => deviceIn(request, names.device) ?? addressDevice(request);
  const nameDevice = (request: Request, response: Response) => {
    if (deviceIn(request, names.device)) return;
    response.cookie(names.device, randomUUID(), {
      httpOnly: true,
      sameSite: 'lax',
      secure: secureCookie,
      maxAge: deviceDays * 86_400_000,
    });
  };

  const forgetSession = (response: Response) =>
    response.clearCookie(names.session, { secure: secureCookie, httpOnly: true, sameSite: 'lax' });

  route(router, endpoints.session, {
    allow: 'anyone',
    run: async ({ request, response }) => {
      nameDevice(request, response);
      return sessionAnswer(request.session.callerOf?.());
    },
  });
  route(router, endpoints.signInTeacher, {
    allow: 'anyone',
    body: teacherSignIn,
    run: async ({ request, body }) =>
      enter(
        services,
        request,
        await signInTeacher(services, deviceOf(request), body),
        body.ownDevice === true,
      ),
  });
  route(router, endpoints.signInStudent, {
    allow: 'anyone',
    body: studentSignIn,
    run: async ({ request, body }) =>
      enter(
        services,
        request,
        await signInStudent(services, deviceOf(request), body),
        body.ownDevice === true,
      ),
  });
  route(router, endpoints.changePassword, {
    allow: 'teacher',
    beforeChange: true,
    body: newPassword,
    run: async ({ who, body }) => {
      await changePassword(services, who, body);
      return sessionAnswer({ ...who, mustChange: false });
    },
  });
  route(router, endpoints.signOut, {
    allow: 'anyone',
    run: async ({ request, response }): Promise<SessionAnswer> => {
      const who = request.session.callerOf?.();
      await settled((done) => request.session.destroy(done));
      forgetSession(response);
      if (who) await services.publish.people([who.id]);
      return { who: null };
    },
  });
  route(router, endpoints.signOutEverywhere, {
    allow: 'signed-in',
    beforeChange: true,
    run: async ({ who, response }): Promise<SessionAnswer> => {
      await endSessions(services, [who.id]);
      forgetSession(response);
      return { who: null };
    },
  });
}

const sessionAnswer = (who: Caller | null | undefined): SessionAnswer =>
  who
    ? { who: whoOf(who), mustChange: who.mustChange, ownDevice: who.ownDevice, sealKey: who.sealKey }
    : { who: null };

function deviceIn(request: Request, name: string): string | undefined {
  const [, value] =
    new RegExp(`(?:^|; )${name}=([0-9a-f-]{36})(?:;|$)`).exec(request.get('cookie') ?? '') ?? [];
  return value !== undefined && isId(value) ? value : undefined;
}

/** All callers without a cookie behind one address are one device. */
const addressDevice = (request: Request): string => {
  const hex = hashOf(request.ip ?? 'unknown');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
};

/** Starts a fresh session, so that an id from before the sign-in is worth nothing after it. */
async function enter(
  { callers }: Services,
  request: Request,
  { id }: PersonRow,
  ownDevice: boolean,
): Promise<SessionAnswer> {
  await settled((done) => request.session.regenerate(done));
  request.session.personId = id;
  request.session.ownDevice = ownDevice;
  if (ownDevice) request.session.cookie.maxAge = sessionLimits.own.wholeMs;
  await settled((done) => request.session.save(done));
  return sessionAnswer(await callers.of(hashOf(request.sessionID)));
}

const settled = (act: (done: (error?: unknown) => void) => void): Promise<void> =>
  new Promise((resolve, reject) => act((error) => (error ? reject(error as Error) : resolve())));
