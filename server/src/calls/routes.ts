import { endpoints, newCall } from '@green-beam/contract';
import type { Router } from 'express';
import { staffOwns } from '../access/membership';
import { route } from '../access/route';
import type { Services } from '../services';
import { answerCall, callsOf, callTeacher, ownCall, takeCallBack } from './service';

export function callRoutes(router: Router, services: Services): void {
  route(router, endpoints.ownCall, { allow: 'student', run: ({ who }) => ownCall(services, who) });
  route(router, endpoints.callTeacher, {
    allow: 'student',
    body: newCall,
    run: ({ who, body }) => callTeacher(services, who, body),
  });
  route(router, endpoints.takeCallBack, { allow: 'student', run: ({ who }) => takeCallBack(services, who) });
  route(router, endpoints.calls, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ owned }) => callsOf(services, owned),
  });
  route(router, endpoints.answerCall, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ owned, params }) => answerCall(services, owned, params['callId'] ?? ''),
  });
}
