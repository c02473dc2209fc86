import type { Express } from 'express';
import { createServer, IncomingMessage, ServerResponse, type Server } from 'node:http';

/**
 * A server for an app. Express gives every request and answer another prototype as it comes, which is slow, and leaves all of them for
 * the next full collection; here they are made with the app's, so that there is nothing to change.
 */
export function serverOf(app: Express): Server {
  class AppRequest extends IncomingMessage {}
  class AppResponse extends ServerResponse {}
  app.request = Object.setPrototypeOf(AppRequest.prototype, app.request) as Express['request'];
  app.response = Object.setPrototypeOf(AppResponse.prototype, app.response) as Express['response'];
  return createServer({ IncomingMessage: AppRequest, ServerResponse: AppResponse }, app);
}
