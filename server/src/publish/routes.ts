import { endpoints } from '@green-beam/contract';
import type { Router } from 'express';
import { route } from '../access/route';
import type { Services } from '../services';

export function eventRoutes(router: Router, { publish }: Services): void {
  route(router, endpoints.events, {
    allow: 'signed-in',
    beforeChange: true,
    run: async ({ who, response }) => publish.streams.listen(who, response),
  });
}
