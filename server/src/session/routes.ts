import {
  newPassword,
  endpoints,
  studentSignIn,
  teacherSignIn,
  type SessionAnswer,
} from '@green-beam/contract';
import type { Request, Response, Router } from 'express';
import { Problem } from '../http/problem';
import type { Services } from '../services';
import { randomBytes } from 'node:crypto';
import { route } from '../access/route';
import type { PersonRow } from '../database/models';
import { sessionLimits, whoOf, type Caller } from '../access/caller';
import { changePassword, endSessions, signInStudent, signInTeacher } from './service';
import { DeviceMarks } from './device';
import { hashOf } from './store';

/** Whether whoever asked was told meanwhile to try again, or has closed the page. */
const goneFrom = (response: Response) => () => response.headersSent || response.destroyed;

/** Nobody is signed in behind their back. @throws Problem */
function stillWaits(response: Response): void {
  if (goneFrom(response)()) throw new Problem('sign-in-busy');
}

/** The names of the cookies. Behind HTTPS a browser takes them from no other host and no other path. */
export const cookieNames = (secure: boolean) => {
  const prefix = secure ? '__Host-' : '';
  return {
    session: `${prefix}green-beam`,
    device: `${prefix}green-beam-device`,
    seal: `${prefix}green-beam-seal`,
  } as const;
};

const deviceDays = 400;

export function sessionRoutes(
  router: Router,
  services: Services,
  { secureCookie, sessionSecret }: { secureCookie: boolean; sessionSecret: string },
): void {
  const names = cookieNames(secureCookie);
  const devices = new DeviceMarks(sessionSecret, names.device);

  /** A browser that has no mark yet gets one. */
  const markDevice = (request: Request, response: Response) => {
    if (devices.in(request)) return;
    response.cookie(names.device, devices.make(), {
      httpOnly: true,
      sameSite: 'lax',
      secure: secureCookie,
      maxAge: deviceDays * 86_400_000,
    });
  };

  const forgetSession = (response: Response) => {
    response.clearCookie(names.session, { secure: secureCookie, httpOnly: true, sameSite: 'lax' });
    response.clearCookie(names.seal, { secure: secureCookie, sameSite: 'strict' });
  };

  /**
   * A word that lives as long as the session's own cookie and that the page can read: with it the browser keeps shut what it holds of a
   * person. The server does not remember it.
   */
  const giveWord = (response: Response, ownDevice: boolean, word = randomBytes(32).toString('base64url')) =>
    response.cookie(names.seal, word, {
      sameSite: 'strict',
      secure: secureCookie,
      ...(ownDevice ? { maxAge: sessionLimits.own.idleMs } : {}),
    });
  const wordIn = (request: Request): string | undefined =>
    new RegExp(`(?:^|; )${names.seal}=([\\w-]{20,100})(?:;|$)`).exec(request.get('cookie') ?? '')?.[1];

  route(router, endpoints.session, {
    allow: 'anyone',
    run: async ({ request, response }) => {
      markDevice(request, response);
      const who = request.session.callerOf?.();
      const word = wordIn(request);
      if (who && (word === undefined || who.ownDevice)) giveWord(response, who.ownDevice, word);
      return sessionAnswer(who);
    },
  });
  route(router, endpoints.signInTeacher, {
    allow: 'anyone',
    body: teacherSignIn,
    run: async ({ request, response, body }) => {
      const person = await signInTeacher(services, devices.of(request), body, goneFrom(response));
      stillWaits(response);
      giveWord(response, body.ownDevice === true);
      return enter(services, request, person, body.ownDevice === true);
    },
  });
  route(router, endpoints.signInStudent, {
    allow: 'anyone',
    body: studentSignIn,
    run: async ({ request, response, body }) => {
      const person = await signInStudent(services, devices.of(request), body, goneFrom(response));
      stillWaits(response);
      giveWord(response, body.ownDevice === true);
      return enter(services, request, person, body.ownDevice === true);
    },
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
