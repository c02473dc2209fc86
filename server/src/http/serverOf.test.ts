import express from 'express';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { expect, it } from 'vitest';
import { serverOf } from './serverOf';

it('makes requests and answers as the app wants them', async () => {
  const app = express();
  app.get('/', (request, response) => response.json({ app: request.app === app && response.app === app }));
  const server = serverOf(app);
  const came: boolean[] = [];
  server.prependListener('request', (request, response) => {
    came.push(Object.getPrototypeOf(request) === app.request);
    came.push(Object.getPrototypeOf(response) === app.response);
  });
  await once(server.listen(0, '127.0.0.1'), 'listening');
  const answer = await fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
  expect(await answer.json()).toEqual({ app: true });
  expect(came).toEqual([true, true]);
  server.close();
});
