import { askedWords, newAttempt, newSetting, paths, whichInstrument } from '@green-beam/contract';
import type { Router } from 'express';
import { route } from '../http/route';
import type { Services } from '../services';
import { benchFor, layOut, schoolsFor, settingFor, takeAttempt, whichFor, wordsFor } from './service';

export function benchRoutes(router: Router, services: Services): void {
  /** The services below look the setting up by its reader; this refuses others before the body is read. */
  const owns = async ({
    who,
    params,
  }: {
    who: Parameters<typeof settingFor>[1];
    params: Readonly<Record<string, string>>;
  }) => {
    await settingFor(services, who, params['settingId'] ?? '');
  };

  route(router, {
    method: 'get',
    path: paths.bench,
    allow: 'signed-in',
    run: ({ who }) => benchFor(services, who),
  });
  route(router, {
    method: 'post',
    path: paths.settings,
    allow: 'signed-in',
    body: newSetting,
    run: ({ who, body }) => layOut(services, who, body),
  });
  route(router, {
    method: 'get',
    path: paths.setting,
    allow: 'signed-in',
    owns,
    run: ({ who, params }) => settingFor(services, who, params['settingId'] ?? ''),
  });
  route(router, {
    method: 'post',
    path: paths.words,
    allow: 'signed-in',
    owns,
    body: askedWords,
    run: ({ who, params, body }) => wordsFor(services, who, params['settingId'] ?? '', body.hands),
  });
  route(router, {
    method: 'get',
    path: paths.schools,
    allow: 'signed-in',
    owns,
    run: ({ who, params }) => schoolsFor(services, who, params['settingId'] ?? ''),
  });
  route(router, {
    method: 'post',
    path: paths.which,
    allow: 'signed-in',
    body: whichInstrument,
    run: ({ who, body }) => whichFor(services, who, body),
  });
  route(router, {
    method: 'post',
    path: paths.attempts,
    allow: 'signed-in',
    owns,
    body: newAttempt,
    run: ({ who, params, body }) => takeAttempt(services, who, params['settingId'] ?? '', body),
  });
}
