import type { ProblemDocument } from '@green-beam/contract';
import compression from 'compression';
import connectPgSimple from 'connect-pg-simple';
import express, { Router, type ErrorRequestHandler, type Express } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { pinoHttp } from 'pino-http';
import type { Pool } from 'pg';
import { benchRoutes } from './bench/routes';
import { classroomRoutes } from './classroom/routes';
import { sameOriginOnly } from './http/origin';
import { Problem } from './http/problem';
import { figuresRoutes } from './figures/routes';
import { feedRoutes } from './feed/routes';
import { liveRoutes } from './live/routes';
import { logbookRoutes } from './logbook/routes';
import type { Services } from './services';
import { showRoutes } from './show/routes';
import { sessionRoutes } from './session/routes';

export interface AppSettings {
  readonly sessionSecret: string;
  /** Where sessions are kept. */
  readonly pool: Pool;
  /** Folder of the built web pages; null to serve the API alone. */
  readonly webFolder: string | null;
  /** True behind HTTPS: the cookie then travels only there. */
  readonly secureCookie: boolean;
  /** How many proxies stand in front. */
  readonly trustedProxies: number;
}

const sessionDays = 14;

export function createApp(services: Services, settings: AppSettings): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', settings.trustedProxies);
  app.use(
    pinoHttp({
      logger: services.log,
      genReqId: () => randomUUID(),
      autoLogging: { ignore: ({ url }) => !url?.startsWith('/api') },
    }),
  );
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'"],
          fontSrc: ["'self'"],
          imgSrc: ["'self'", 'data:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: settings.secureCookie,
    }),
  );
  app.use(
    compression({
      filter: (_request, response) =>
        !String(response.getHeader('content-type')).startsWith('text/event-stream'),
    }),
  );
  app.use('/api', apiRouter(services, settings));
  if (settings.webFolder) servePages(app, settings.webFolder);
  app.use(answerProblems(services));
  return app;
}

function apiRouter(services: Services, { sessionSecret, pool, secureCookie }: AppSettings): Router {
  const Store = connectPgSimple(session);
  // Routes carry their whole address, `/api` included, as the contract states it.
  const api = Router();
  api.use((request, _response, next) => {
    request.url = request.originalUrl;
    next();
  });
  api.use(sameOriginOnly);
  // Photographs, pasted blocks and investigations are longer than anything else that is sent.
  api.use(/\/(photos|blocks|investigations)$/, express.json({ limit: '2500kb' }));
  api.use(express.json({ limit: '64kb' }));
  api.use(
    session({
      name: 'green-beam',
      secret: sessionSecret,
      store: new Store({ pool, tableName: 'session', createTableIfMissing: false }),
      resave: false,
      saveUninitialized: false,
      rolling: true,
      cookie: { httpOnly: true, sameSite: 'lax', secure: secureCookie, maxAge: sessionDays * 86_400_000 },
    }),
  );
  for (const routes of [
    sessionRoutes,
    benchRoutes,
    showRoutes,
    feedRoutes,
    figuresRoutes,
    logbookRoutes,
    classroomRoutes,
    liveRoutes,
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
    express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  );
  app.use(express.static(folder, { index: false }));
  app.get('/{*address}', (_request, response) => {
    response.set('cache-control', 'no-cache').sendFile(join(folder, 'index.html'));
  });
}

/** Every error becomes a problem document (RFC 9457); what was not foreseen is logged and not told. */
const answerProblems =
  ({ log }: Services): ErrorRequestHandler =>
  (error, request, response, next) => {
    if (response.headersSent) return next(error);
    const problem = asProblem(error);
    const requestId = String(request.id);
    if (problem.code === 'unexpected') log.error({ err: error, requestId }, 'unexpected');
    const document: ProblemDocument = {
      type: `/problems/${problem.code}`,
      title: problem.code.replaceAll('-', ' '),
      status: problem.status,
      code: problem.code,
      detail: problem.message,
      requestId,
    };
    response
      .status(problem.status)
      .set(problem.headers)
      .type('application/problem+json')
      .send(JSON.stringify(document));
  };

function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  const { type, status } = (typeof error === 'object' && error !== null ? error : {}) as {
    type?: unknown;
    status?: unknown;
  };
  if (type === 'entity.too.large') return new Problem('too-large');
  if (type === 'entity.parse.failed' || type === 'encoding.unsupported' || type === 'charset.unsupported')
    return new Problem('not-json');
  if (error instanceof URIError || status === 404 || status === 400) return new Problem('not-found');
  return new Problem('unexpected');
}
