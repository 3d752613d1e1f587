import { dirname, join, resolve } from 'node:path';

/** What the server is started with. */
export interface ServerConfig {
  readonly host: string;
  readonly port: number;
  /** The address of the database: an SQLite file. */
  readonly database: string;
  /** The folder of photos and other files. */
  readonly filesRoot: string;
  /** The folder to which mails are written, one file each. */
  readonly outboxRoot: string;
  /** The built web application, or null to serve the API alone. */
  readonly webRoot: string | null;
  /** Shown on the sign-in page when it serves demo data; null otherwise. */
  readonly demoPassword: string | null;
  /** Whether the session's cookie goes over HTTPS alone. */
  readonly isCookieSecure: boolean;
  /** Addresses of proxies that are believed when they say from where a request comes; none when empty. */
  readonly trustedProxies: readonly string[];
  readonly logLevel: LogLevel;
  /** Requests a minute from one address, signing in apart. */
  readonly requestsPerMinute: number;
  /** Wrong passwords for one name from one address that cost no wait. */
  readonly freePasswordTries: number;
  /** The bundled script of the pages for people without an account; they work without it. */
  readonly guestScript: string;
  /** Reports and additions of people without an account from one address within ten minutes. */
  readonly guestPostsPerAddress: number;
  /** Reports of people without an account by one label within an hour. */
  readonly guestPostsPerLabel: number;
  /** Wrong passwords from one address within a quarter of an hour, over all names. */
  readonly wrongPasswordsPerAddress: number;
}

const logLevels = ['silent', 'error', 'warn', 'info'] as const;
type LogLevel = (typeof logLevels)[number];

export const defaultConfig: ServerConfig = {
  host: '127.0.0.1',
  port: 4870,
  database: resolve('.oilcan/oilcan.sqlite'),
  filesRoot: resolve('.oilcan/files'),
  outboxRoot: resolve('.oilcan/outbox'),
  webRoot: resolve('app/dist'),
  demoPassword: null,
  isCookieSecure: false,
  trustedProxies: [],
  logLevel: 'warn',
  requestsPerMinute: 12_000,
  freePasswordTries: 5,
  guestScript: resolve('server/dist/guest-page.js'),
  guestPostsPerAddress: 20,
  guestPostsPerLabel: 60,
  wrongPasswordsPerAddress: 100,
};

/** Why it cannot be started as it was asked to, in one sentence. */
export class ConfigProblem extends Error {}

/** The configuration from environment variables, each of which may be left out. Throws `ConfigProblem` for a bad one. */
export function configFromEnvironment(environment: NodeJS.ProcessEnv): ServerConfig {
  const host = textOf(environment, 'HOST', defaultConfig.host);
  const database = textOf(environment, 'DATABASE_URL', defaultConfig.database);
  // Files and mails lie beside the database, wherever that is.
  const beside = (name: string): string => join(dirname(database), name);
  return {
    host,
    port: wholeOf(environment, 'PORT', defaultConfig.port, 0, 65_535),
    database,
    filesRoot: textOf(environment, 'OILCAN_FILES', beside('files')),
    outboxRoot: textOf(environment, 'OILCAN_OUTBOX', beside('outbox')),
    webRoot: textOf(environment, 'OILCAN_WEB_ROOT', defaultConfig.webRoot ?? ''),
    demoPassword: environment['OILCAN_DEMO_PASSWORD'] ?? null,
    isCookieSecure: flagOf(environment, 'OILCAN_SECURE_COOKIE', !isLoopback(host)),
    trustedProxies: proxiesOf(environment),
    logLevel: choiceOf(environment, 'LOG_LEVEL', logLevels, defaultConfig.logLevel),
    requestsPerMinute: wholeOf(environment, 'OILCAN_REQUESTS_PER_MINUTE', defaultConfig.requestsPerMinute, 1, 1e9),
    freePasswordTries: wholeOf(environment, 'OILCAN_FREE_PASSWORD_TRIES', defaultConfig.freePasswordTries, 1, 1_000),
    guestScript: textOf(environment, 'OILCAN_GUEST_SCRIPT', defaultConfig.guestScript),
    guestPostsPerAddress: wholeOf(
      environment,
      'OILCAN_GUEST_POSTS_PER_ADDRESS',
      defaultConfig.guestPostsPerAddress,
      1,
      1e6,
    ),
    guestPostsPerLabel: wholeOf(environment, 'OILCAN_GUEST_POSTS_PER_LABEL', defaultConfig.guestPostsPerLabel, 1, 1e6),
    wrongPasswordsPerAddress: wholeOf(
      environment,
      'OILCAN_WRONG_PASSWORDS_PER_ADDRESS',
      defaultConfig.wrongPasswordsPerAddress,
      1,
      1e6,
    ),
  };
}

/** Whether only this machine itself reaches the address, so that nobody listens on the way. */
function isLoopback(host: string): boolean {
  return host === 'localhost' || host === '::1' || host === '[::1]' || /^127(\.\d{1,3}){3}$/.test(host);
}

function textOf(environment: NodeJS.ProcessEnv, name: string, otherwise: string): string {
  const given = environment[name];
  if (given === undefined) return otherwise;
  if (given.trim() === '') throw new ConfigProblem(`${name} is empty. Give it a value, or leave it out.`);
  return given;
}

function wholeOf(environment: NodeJS.ProcessEnv, name: string, otherwise: number, least: number, most: number): number {
  const given = environment[name];
  if (given === undefined) return otherwise;
  const value = /^\d+$/.test(given.trim()) ? Number(given) : Number.NaN;
  if (!(value >= least && value <= most)) {
    throw new ConfigProblem(`${name} is “${given}”; it must be a whole number from ${least} to ${most}.`);
  }
  return value;
}

function flagOf(environment: NodeJS.ProcessEnv, name: string, otherwise: boolean): boolean {
  const given = environment[name];
  if (given === undefined) return otherwise;
  if (given !== '0' && given !== '1') throw new ConfigProblem(`${name} is “${given}”; it must be 0 or 1.`);
  return given === '1';
}

function choiceOf<const T extends string>(
  environment: NodeJS.ProcessEnv,
  name: string,
  choices: readonly T[],
  otherwise: T,
): T {
  const given = environment[name];
  if (given === undefined) return otherwise;
  const chosen = choices.find((each) => each === given);
  if (chosen === undefined) throw new ConfigProblem(`${name} is “${given}”; it must be one of: ${choices.join(', ')}.`);
  return chosen;
}

const PROXY = /^(loopback|linklocal|uniquelocal|[0-9a-f.:]+(\/\d{1,3})?)$/i;

function proxiesOf(environment: NodeJS.ProcessEnv): readonly string[] {
  const name = 'OILCAN_TRUST_PROXY';
  const given = environment[name];
  if (given === undefined) return [];
  const proxies = given.split(',').map((each) => each.trim());
  const wrong = proxies.find((each) => !PROXY.test(each));
  if (wrong === undefined) return proxies;
  throw new ConfigProblem(
    `${name} has “${wrong}”; give addresses or ranges of proxies, such as 127.0.0.1 or 10.0.0.0/8.`,
  );
}
