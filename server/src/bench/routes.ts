import {
  askedWords,
  newAttempt,
  newSetting as newSettingBody,
  endpoints,
  whichInstrument,
} from '@green-beam/contract';
import type { Router } from 'express';
import { route, type Named } from '../access/route';
import type { Services } from '../services';
import {
  benchFor,
  newSetting,
  ownStation,
  presetsFor,
  settingAnswer,
  takeAttempt,
  whichFor,
  wordsFor,
} from './service';

export function benchRoutes(router: Router, services: Services): void {
  const owns = ({ who, params }: Named) => ownStation(services, who, params['settingId'] ?? '');

  route(router, endpoints.bench, {
    allow: 'signed-in',
    run: ({ who }) => benchFor(services, who),
  });
  route(router, endpoints.newSetting, {
    allow: 'signed-in',
    body: newSettingBody,
    run: ({ who, body }) => newSetting(services, who, body),
  });
  route(router, endpoints.setting, {
    allow: 'signed-in',
    owns,
    run: ({ who, owned }) => settingAnswer(services, who, owned),
  });
  route(router, endpoints.words, {
    allow: 'signed-in',
    owns,
    body: askedWords,
    run: async ({ who, owned, body }) => wordsFor(who, owned, body.hands),
  });
  route(router, endpoints.presets, {
    allow: 'signed-in',
    owns,
    run: ({ owned }) => presetsFor(services, owned),
  });
  route(router, endpoints.which, {
    allow: 'signed-in',
    body: whichInstrument,
    run: ({ who, body }) => whichFor(services, who, body),
  });
  route(router, endpoints.attempt, {
    allow: 'signed-in',
    owns,
    body: newAttempt,
    run: ({ who, owned, body }) => takeAttempt(services, who, owned, body),
  });
}
