import { setTimeout as pause } from 'node:timers/promises';
import type { FastifyInstance } from 'fastify';
import type { Revision } from '@oilcan/core/sync';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import { dialectOf } from '../database/dialects';
import { newestOf } from '../database/feed/newest';
import type { FileStore } from '../files/file-store';
import { sweepOrphans } from '../files/orphans';
import type { MailSender } from '../standins/mail';
import type { ChangeEvents } from '../events/change-events';
import { DueWork } from '../plans/make-due-work';
import { deliverCopies } from '../copies/deliver-copies';
import { forgetGuests } from '../guests/forget-guests';
import { deliverGuestMails } from '../guests/guest-mails';
import { deliverMails } from '../notices/deliver-mails';
import { watchTime } from '../notices/watch-time';
import { renewPast } from '../retention/renew-past';
import { beginsNow, keepSmall, stepByStep } from '../retention/nightly';

const LOOK_MILLISECONDS = 5_000;
const WATCH_MILLISECONDS = 60_000;
const MAIL_MILLISECONDS = 3_000;
const TIDY_MILLISECONDS = 3_600_000;
const NIGHT_MILLISECONDS = 600_000;
const DAY_MILLISECONDS = 86_400_000;

interface KeptTelling {
  readonly database: Knex;
  readonly events: ChangeEvents;
  readonly files: FileStore;
  readonly mail: MailSender;
  readonly clock: Clock;
}

/** While the server listens: looks at the clock once a minute, makes what plans make due, carries mails away, and tidies what was begun and left. */
export function keepWatch(server: FastifyInstance, { database, events, files, mail, clock }: KeptTelling): void {
  const timers: NodeJS.Timeout[] = [];
  const { unlessElsewhere } = dialectOf(database);
  /** Of several servers on a database one does it. */
  const again = (name: string, task: () => Promise<void>, milliseconds: number): void =>
    onEach(async () => void (await unlessElsewhere(database, name, task)), milliseconds);
  const onEach = (task: () => Promise<void>, milliseconds: number): void => {
    let isRunning = false;
    const run = async (): Promise<void> => {
      if (isRunning) return;
      isRunning = true;
      try {
        await task();
      } catch (error) {
        server.log.error({ err: error }, 'A task of the watch failed; it is tried again.');
      } finally {
        isRunning = false;
      }
    };
    timers.push(setInterval(() => void run(), milliseconds).unref());
    void run();
  };
  server.addHook('onListen', async () => {
    let scopesSince: Revision | null = null;
    onEach(async () => {
      const newest = await newestOf(database);
      if (scopesSince !== null && scopesSince !== newest.scopes) await events.scopesChanged();
      scopesSince = newest.scopes;
      events.look(newest.revision);
    }, LOOK_MILLISECONDS);
    again(
      'time',
      async () => {
        const told = await watchTime(database, clock());
        if (told !== null) events.tell(told.revision, told.concerned);
      },
      WATCH_MILLISECONDS,
    );
    const dueWork = new DueWork(database, ({ id }, error) =>
      server.log.error({ err: error, plan: id }, 'When a plan is due cannot be computed.'),
    );
    again(
      'due work',
      async () => {
        const made = await dueWork.make(clock());
        if (made !== null) events.tell(made.revision, made.concerned);
      },
      WATCH_MILLISECONDS,
    );
    again('mails', async () => void (await deliverMails(database, mail, clock())), MAIL_MILLISECONDS);
    again('copies', async () => void (await deliverCopies(database, { files, mail }, clock())), MAIL_MILLISECONDS);
    again('guest mails', async () => void (await deliverGuestMails(database, mail, clock())), MAIL_MILLISECONDS);
    again('begun files', () => files.tidy(clock()), TIDY_MILLISECONDS);
    again('orphans', () => sweepOrphans(database, files, clock()), TIDY_MILLISECONDS);
    again('guests', () => forgetGuests(database, clock()), TIDY_MILLISECONDS);
    again('past', async () => void (await stepByStep(database, renewPast, clock(), pause)), DAY_MILLISECONDS);
    again(
      'night',
      async () => {
        if (await beginsNow(database, clock())) await keepSmall(database, clock(), pause);
      },
      NIGHT_MILLISECONDS,
    );
  });
  server.addHook('preClose', async () => timers.forEach(clearInterval));
}
