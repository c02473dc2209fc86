import { endpoints } from '@green-beam/contract';
import type { Router } from 'express';
import { route } from '../access/route';
import { takeReading } from '../logbook/entries';
import type { Services } from '../services';

export function feedRoutes(router: Router, services: Services): void {
  route(router, endpoints.feed, {
    allow: 'signed-in',
    run: () => Promise.resolve(services.feed.now()),
  });
  route(router, endpoints.takeFeed, {
    allow: 'signed-in',
    run: ({ who }) => takeReading(services, who),
  });
}
