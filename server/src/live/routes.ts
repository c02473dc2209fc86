import { paths } from '@green-beam/contract';
import type { Router } from 'express';
import { route } from '../http/route';
import type { Services } from '../services';

export function liveRoutes(router: Router, { live }: Services): void {
  route(router, {
    method: 'get',
    path: paths.events,
    allow: 'signed-in',
    run: async ({ who, response }) => live.listen(who, response),
  });
}
