import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import { OilcanError } from '@oilcan/core/kernel';
import { REQUEST_BYTES_LIMIT } from '@oilcan/core/sync';
import fastify, { LogController, type FastifyInstance } from 'fastify';
import type { Knex } from 'knex';
import { signedInPeople } from './accounts/authentication';
import { accountRoutes } from './accounts/routes';
import type { Clock } from './clock';
import type { ServerConfig } from './config';
import { calendarRoutes } from './calendar/routes';
import { codeRoutes } from './codes/routes';
import { storeRoutes } from './stores/routes';
import { apiDescription } from './docs/openapi';
import { errorWithoutValues } from './errors/error-log';
import { sendProblem, translate } from './errors/problem';
import { dialectOf } from './database/dialects';
import { FileStore } from './files/file-store';
import { fileRoutes } from './files/routes';
import { guestRoutes } from './guests/guest-routes';
import { healthRoutes } from './health/routes';
import { speakHttp } from './speak-http';
import { keepWatch } from './watch/keep-watch';
import { noticeRoutes } from './notices/routes';
import { Outbox } from './standins/mail';
import { logRoutes } from './log/routes';
import { ChangeEvents } from './events/change-events';
import { owedRoutes } from './owed/routes';
import { findRoutes } from './find/routes';
import { pastRoutes } from './past/routes';
import { syncRoutes } from './sync/routes';
import { webRoutes } from './web/routes';

/** The whole server on a database, not yet listening. `clock` is the time that it goes by. */
export async function buildServer(database: Knex, config: ServerConfig, clock: Clock): Promise<FastifyInstance> {
  const server = fastify({
    bodyLimit: REQUEST_BYTES_LIMIT,
    // A body that comes so slowly that it never ends is not waited for; the longest piece of a file needs about a minute.
    requestTimeout: REQUEST_MILLISECONDS,
    trustProxy: config.trustedProxies.length === 0 ? false : [...config.trustedProxies],
    // A code of a label, each of whose characters may take three.
    routerOptions: { maxParamLength: 600 },
    logger: {
      level: config.logLevel,
      redact: ['req.headers.cookie', 'req.remoteAddress', 'req.headers.authorization'],
      serializers: { err: errorWithoutValues },
    },
    logController: new LogController({ disableRequestLogging: true }),
    frameworkErrors: (error, request, reply) => void sendProblem(reply, translate(error), request.id),
    forceCloseConnections: 'idle',
  });
  await speakHttp(server);
  await server.register(helmet, {
    contentSecurityPolicy: { useDefaults: false, directives: contentSources },
    hsts: config.isCookieSecure,
  });
  await server.register(rateLimit, {
    max: config.requestsPerMinute,
    timeWindow: '1 minute',
    addHeaders: silentAboutLimits,
    addHeadersOnExceeding: silentAboutLimits,
    errorResponseBuilder: (_request, context) =>
      new OilcanError('too_many_requests', { seconds: Math.ceil(context.ttl / 1000) }),
  });
  const files = new FileStore(config.filesRoot);
  const events = new ChangeEvents(dialectOf(database).channel(database));
  keepWatch(server, { database, events, files, mail: new Outbox(config.outboxRoot), clock });
  await server.register(signedInPeople, { database, clock, isCookieSecure: config.isCookieSecure });
  await server.register(apiDescription);
  await server.register(
    async (api) => {
      api.addHook('onRequest', (_request, reply, done) => {
        for (const header of forPagesOnly) reply.raw.removeHeader(header);
        reply.raw.setHeader('Content-Security-Policy', "default-src 'none'");
        done();
      });
      await api.register(accountRoutes, { database, clock, config, events });
      await api.register(syncRoutes, { database, clock, events });
      await api.register(noticeRoutes, { database });
      await api.register(pastRoutes, { database, clock });
      await api.register(findRoutes, { database });
      await api.register(codeRoutes, { database });
      await api.register(storeRoutes, { database });
      await api.register(owedRoutes, { database, clock });
      await api.register(logRoutes, { database });
      await api.register(calendarRoutes, { database, clock });
      await api.register(fileRoutes, { database, clock, files });
    },
    { prefix: '/api' },
  );
  await server.register(guestRoutes, {
    database,
    clock,
    files,
    events,
    scriptFile: config.guestScript,
    limits: { postsPerAddress: config.guestPostsPerAddress, postsPerLabel: config.guestPostsPerLabel },
  });
  await server.register(healthRoutes, { database, clock });
  await server.register(webRoutes, { webRoot: config.webRoot, database, demoPassword: config.demoPassword });
  return server;
}

const REQUEST_MILLISECONDS = 120_000;

/** Everything comes from this server. Styles may stand in the page because React Native for Web writes them there. */
const contentSources = {
  'default-src': ["'self'"],
  'script-src': ["'self'"],
  'style-src': ["'self'", "'unsafe-inline'"],
  'img-src': ["'self'", 'data:', 'blob:'],
  'connect-src': ["'self'"],
  'worker-src': ["'self'", 'blob:'],
  'object-src': ["'none'"],
  'base-uri': ["'none'"],
  'frame-ancestors': ["'none'"],
  'form-action': ["'self'"],
};

/** What protects a page says nothing of an answer in JSON, and would be most of the weight of a short one. */
const forPagesOnly = [
  'Cross-Origin-Opener-Policy',
  'Origin-Agent-Cluster',
  'Referrer-Policy',
  'X-DNS-Prefetch-Control',
  'X-Download-Options',
  'X-Frame-Options',
  'X-Permitted-Cross-Domain-Policies',
  'X-XSS-Protection',
];

const silentAboutLimits = {
  'x-ratelimit-limit': false,
  'x-ratelimit-remaining': false,
  'x-ratelimit-reset': false,
};
