import {
  newClassQuestion,
  newStationQuestion,
  endpoints,
  takeQuestion as takeQuestionBody,
} from '@green-beam/contract';
import type { Router } from 'express';
import { managerOwns, staffOwns } from '../access/membership';
import { route } from '../access/route';
import type { Services } from '../services';
import { askDrawn, askStation } from './ask';
import {
  endQuestion,
  ofQuestionsClass,
  questionFor,
  revealQuestion,
  staffQuestionFor,
  takeQuestion,
} from './service';

export function questionRoutes(router: Router, services: Services): void {
  route(router, endpoints.question, {
    allow: 'student',
    run: ({ who }) => questionFor(services, who),
  });
  route(router, endpoints.takeQuestion, {
    allow: 'student',
    owns: ({ who, params }) => ofQuestionsClass(services, who, params['questionId'] ?? ''),
    body: takeQuestionBody,
    run: ({ who, owned, body }) => takeQuestion(services, who, owned, body.id),
  });
  route(router, endpoints.classQuestion, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ owned }) => staffQuestionFor(services, owned),
  });
  route(router, endpoints.newClassQuestion, {
    allow: 'teacher',
    owns: managerOwns,
    body: newClassQuestion,
    run: ({ who, owned, body }) => askDrawn(services, who, owned, body),
  });
  route(router, endpoints.newStation, {
    allow: 'teacher',
    owns: managerOwns,
    body: newStationQuestion,
    run: ({ who, owned, body }) => askStation(services, who, owned, body),
  });
  route(router, endpoints.revealQuestion, {
    allow: 'teacher',
    owns: managerOwns,
    run: ({ owned }) => revealQuestion(services, owned),
  });
  route(router, endpoints.endQuestion, {
    allow: 'teacher',
    owns: managerOwns,
    run: ({ owned }) => endQuestion(services, owned),
  });
}
