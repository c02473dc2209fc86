import { askedWords, newAttempt, newSetting, paths, whichInstrument } from '@green-beam/contract';
import type { Router } from 'express';
import { route, type Named } from '../access/route';
import type { Services } from '../services';
import {
  benchFor,
  layOut,
  ownStation,
  schoolsFor,
  settingAnswer,
  takeAttempt,
  whichFor,
  wordsFor,
} from './service';

export function benchRoutes(router: Router, services: Services): void {
  const owns = ({ who, params }: Named) => ownStation(services, who, params['settingId'] ?? '');

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
    run: ({ who, owned }) => settingAnswer(services, who, owned),
  });
  route(router, {
    method: 'post',
    path: paths.words,
    allow: 'signed-in',
    owns,
    body: askedWords,
    run: async ({ who, owned, body }) => wordsFor(who, owned, body.hands),
  });
  route(router, {
    method: 'get',
    path: paths.schools,
    allow: 'signed-in',
    owns,
    run: ({ owned }) => schoolsFor(services, owned),
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
    run: ({ who, owned, body }) => takeAttempt(services, who, owned, body),
  });
}
