import { paths } from '@green-beam/contract';
import type { Router } from 'express';
import { route } from '../http/route';
import type { Services } from '../services';

export function feedRoutes(router: Router, { feed }: Services): void {
  route(router, {
    method: 'get',
    path: paths.feed,
    allow: 'signed-in',
    run: () => Promise.resolve(feed.now()),
  });
  route(router, {
    method: 'post',
    path: paths.takeFeed,
    allow: 'signed-in',
    run: async () => feed.take(),
  });
}
