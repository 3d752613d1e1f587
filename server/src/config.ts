import { resolve } from 'node:path';

/** What the server is started with. */
export interface ServerConfig {
  readonly host: string;
  readonly port: number;
  /** An SQLite file, or a `postgres://` address. */
  readonly database: string;
  /** The folder of photos and other files. */
  readonly filesRoot: string;
  /** The folder to which mails are written, one file each. */
  readonly outboxRoot: string;
  /** The built web application, or null to serve the API alone. */
  readonly webRoot: string | null;
  /** Shown on the sign-in page when it serves demo data; null otherwise. */
  readonly demoPassword: string | null;
  readonly isCookieSecure: boolean;
  readonly logLevel: 'silent' | 'error' | 'warn' | 'info';
  /** Requests a minute from one address, signing in apart. */
  readonly requestsPerMinute: number;
  /** Wrong passwords for one name from one address within five minutes. */
  readonly wrongPasswordsAllowed: number;
}

export const defaultConfig: ServerConfig = {
  host: '127.0.0.1',
  port: 4870,
  database: resolve('.oilcan/oilcan.sqlite'),
  filesRoot: resolve('.oilcan/files'),
  outboxRoot: resolve('.oilcan/outbox'),
  webRoot: resolve('app/dist'),
  demoPassword: null,
  isCookieSecure: false,
  logLevel: 'warn',
  requestsPerMinute: 12_000,
  wrongPasswordsAllowed: 10,
};

const logLevels: readonly string[] = ['silent', 'error', 'warn', 'info'];

/** The configuration from environment variables, each of which may be left out. Throws a sentence for a bad one. */
export function configFromEnvironment(environment: NodeJS.ProcessEnv): ServerConfig {
  const port = Number(environment['PORT'] ?? defaultConfig.port);
  if (!Number.isInteger(port) || port < 0 || port > 65_535) {
    throw new Error(`PORT is “${environment['PORT']}”; it must be a whole number from 0 to 65535.`);
  }
  const logLevel = environment['LOG_LEVEL'] ?? defaultConfig.logLevel;
  if (!logLevels.includes(logLevel)) throw new Error(`LOG_LEVEL must be one of: ${logLevels.join(', ')}.`);
  return {
    ...defaultConfig,
    host: environment['HOST'] ?? defaultConfig.host,
    port,
    database: environment['DATABASE_URL'] ?? defaultConfig.database,
    filesRoot: environment['OILCAN_FILES'] ?? defaultConfig.filesRoot,
    outboxRoot: environment['OILCAN_OUTBOX'] ?? defaultConfig.outboxRoot,
    webRoot: environment['OILCAN_WEB_ROOT'] ?? defaultConfig.webRoot,
    demoPassword: environment['OILCAN_DEMO_PASSWORD'] ?? null,
    isCookieSecure: environment['OILCAN_SECURE_COOKIE'] === '1',
    logLevel: logLevel as ServerConfig['logLevel'],
    requestsPerMinute: Number(environment['OILCAN_REQUESTS_PER_MINUTE'] ?? defaultConfig.requestsPerMinute),
  };
}
