import { isScreen, paths } from '@green-beam/contract';
import compression from 'compression';
import express, { Router, type Express } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { pinoHttp } from 'pino-http';
import { benchRoutes } from './bench/routes';
import { classroomRoutes } from './classroom/routes';
import { feedRoutes } from './feed/routes';
import { figuresRoutes } from './figures/routes';
import { answerProblems } from './http/answerProblems';
import { jsonBody } from './http/body';
import { deadline } from './http/deadline';
import { healthRoutes } from './http/health';
import { metricsRoute } from './http/metrics';
import { knownHostsOnly, sameOriginOnly } from './http/origin';
import { Problem } from './http/problem';
import { routesOn, type RouteLine } from './access/route';
import { logbookRoutes } from './logbook/routes';
import { callRoutes } from './calls/routes';
import { eventRoutes } from './publish/routes';
import type { Services } from './services';
import { questionRoutes } from './question/routes';
import { taskRoutes } from './tasks/routes';
import { reviewRoutes } from './review/routes';
import { compareRoutes } from './compare/routes';
import { stockRoutes } from './stock/routes';
import { cookieNames, sessionRoutes } from './session/routes';
import { SessionStore } from './session/store';

export interface AppSettings {
  readonly sessionSecret: string;
  /** Folder of the built web pages; null to serve the API alone. */
  readonly webFolder: string | null;
  /** True behind HTTPS: the cookie then travels only there. */
  readonly secureCookie: boolean;
  /** How many proxies stand in front. */
  readonly trustedProxies: number;
  /** The names that it answers under; any, where none is given. */
  readonly hosts: readonly string[];
  /** Who names it is told what is counted; nobody where it is null. */
  readonly metricsToken: string | null;
  /** How long whoever is refused for haste waits for the answer. */
  readonly hurryMs?: number;
}

/** @returns the app, and the routes of its API. */
export function createApp(
  services: Services,
  settings: AppSettings,
): { readonly app: Express; readonly routes: readonly RouteLine[] } {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', settings.trustedProxies);
  // Answers are never kept, so nobody asks whether they changed.
  app.set('etag', false);
  app.use(
    pinoHttp({
      logger: services.log,
      genReqId: () => randomUUID(),
      autoLogging: { ignore: ({ url }) => !url?.startsWith('/api') },
      // An address may hold what somebody typed behind its question mark; headers hold cookies.
      serializers: {
        req: ({ id, method, url }: { id: unknown; method: string; url: string }) => ({
          id,
          method,
          path: url.split('?')[0],
        }),
        res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
        err: () => undefined,
      },
    }),
  );
  healthRoutes(app, services);
  metricsRoute(app, services.metrics, settings.metricsToken);
  app.use(knownHostsOnly(settings.hosts));
  const api = apiRouter(services, settings);
  app.use('/api', api);
  app.use(pageHeaders(settings.secureCookie));
  app.use(compression());
  if (settings.webFolder) servePages(app, settings.webFolder);
  app.use(() => {
    throw new Problem('not-found');
  });
  app.use(answerProblems(services.log, settings.hurryMs ?? 1_500));
  return { app, routes: routesOn(api) };
}

/** What pages are told: nothing but our own may run, load or frame. */
const pageHeaders = (secure: boolean) =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'"],
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: secure,
  });

/** What answers of the API are told: they are data, for this page, now. */
const answerHeaders = {
  'cache-control': 'no-store',
  'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
  'cross-origin-resource-policy': 'same-origin',
  'referrer-policy': 'no-referrer',
  'x-content-type-options': 'nosniff',
} as const;

function apiRouter(services: Services, { sessionSecret, secureCookie }: AppSettings): Router {
  // Routes carry their whole address, `/api` included, as the contract states it.
  const api = Router();
  api.use((request, response, next) => {
    request.url = request.originalUrl;
    response.set(answerHeaders);
    next();
  });
  api.use(services.metrics.timed);
  api.use(sameOriginOnly(secureCookie));
  api.use(jsonBody);
  api.use(deadline);
  const compressed = compression({
    filter: (request, response) => request.path !== paths.events && compression.filter(request, response),
  });
  api.get('/{*rest}', compressed);
  api.use(
    session({
      name: cookieNames(secureCookie).session,
      secret: sessionSecret,
      store: new SessionStore(services.database, services.callers, services.now),
      resave: false,
      saveUninitialized: false,
      cookie: { httpOnly: true, sameSite: 'lax', secure: secureCookie },
    }),
  );
  sessionRoutes(api, services, { secureCookie, sessionSecret });
  for (const routes of [
    benchRoutes,
    questionRoutes,
    feedRoutes,
    figuresRoutes,
    logbookRoutes,
    stockRoutes,
    compareRoutes,
    reviewRoutes,
    taskRoutes,
    callRoutes,
    classroomRoutes,
    eventRoutes,
  ])
    routes(api, services);
  api.use(() => {
    throw new Problem('not-found');
  });
  return api;
}

/** The built pages: hashed files for ever, the one HTML page fresh each time, and for every address of the app. */
function servePages(app: Express, folder: string): void {
  app.use(
    '/assets',
    express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', index: false, redirect: false }),
  );
  // Not under `/assets` again: what is not there is nowhere.
  app.use('/assets', () => {
    throw new Problem('not-found');
  });
  app.use(
    express.static(folder, {
      index: false,
      redirect: false,
      setHeaders: (response) => response.setHeader('cache-control', 'no-cache'),
    }),
  );
  app.get('/{*address}', (request, response) => {
    response
      .status(isScreen(request.path) ? 200 : 404)
      .set('cache-control', 'no-cache')
      .sendFile(join(folder, 'index.html'));
  });
}
