import { paths } from '@green-beam/contract';
import type { Router } from 'express';
import { route } from '../access/route';
import { takeReading } from '../logbook/entries';
import type { Services } from '../services';

export function feedRoutes(router: Router, services: Services): void {
  route(router, {
    method: 'get',
    path: paths.feed,
    allow: 'signed-in',
    run: () => Promise.resolve(services.feed.now()),
  });
  route(router, {
    method: 'post',
    path: paths.takeFeed,
    allow: 'signed-in',
    run: ({ who }) => takeReading(services, who),
  });
}
