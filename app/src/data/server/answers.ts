import type { FoundWork } from '@oilcan/core/overview/find';
import type { AssetId, Instant } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import type { LogAnswer, PullAnswer, PushAnswer } from '@oilcan/core/sync';
import type { OwedThing } from '@oilcan/core/orders/work';
import type { FileAnswer } from './server-link';

/** The sign-in page's view of the server. */
export interface About {
  readonly demo: {
    readonly password: string;
    readonly people: readonly Pick<Person, 'id' | 'name' | 'roles' | 'tradeId'>[];
  } | null;
}

/** A mail that went out to the person. */
export interface SentMail {
  readonly id: string;
  readonly subject: string;
  readonly text: string;
  readonly sentAt: Instant;
}

/** A mail to somebody that could not be delivered. */
export interface UndeliveredMail {
  readonly id: string;
  readonly to: string;
  readonly subject: string;
  readonly tries: number;
  readonly putAsideAt: Instant;
}

/** The link to a person's calendar, which says nothing of where it leads. */
export interface CalendarLink {
  readonly madeAt: Instant;
  readonly readAt: Instant | null;
}

/** Where somebody is signed in. */
export interface DeviceSession {
  readonly id: string;
  readonly device: string;
  readonly signedInAt: Instant;
  readonly lastUsedAt: Instant;
}

/**
 * Whether a value has the shape of an answer of ours. What stands between a phone and its server may answer in its place, with
 * status 200 and in JSON: that is no answer.
 */
export type Shape = (given: unknown) => boolean;

const isText: Shape = (given) => typeof given === 'string';
const isFlag: Shape = (given) => typeof given === 'boolean';
const isCount: Shape = (given) => Number.isSafeInteger(given) && (given as number) >= 0;
const isMoment: Shape = (given) => typeof given === 'string' && !Number.isNaN(Date.parse(given));
const isObject: Shape = (given) => typeof given === 'object' && given !== null && !Array.isArray(given);

const orNull =
  (shape: Shape): Shape =>
  (given) =>
    given === null || shape(given);
const orLeftOut =
  (shape: Shape): Shape =>
  (given) =>
    given === undefined || shape(given);
const listOf =
  (shape: Shape): Shape =>
  (given) =>
    Array.isArray(given) && given.every(shape);

/** All that it must have; further fields are of a newer server, and are passed over. */
function having<Answer extends object>(fields: { readonly [Name in keyof Answer]-?: Shape }): Shape {
  const shapes = Object.entries<Shape>(fields);
  return (given) => isObject(given) && shapes.every(([name, shape]) => shape((given as Record<string, unknown>)[name]));
}

const isOutcome: Shape = (given) => {
  const { ok, code, values } = (isObject(given) ? given : {}) as Record<string, unknown>;
  return ok === true || (ok === false && isText(code) && isObject(values));
};
const isChange = having<{ table: string; id: string; row: object | null }>({
  table: isText,
  id: isText,
  row: orNull(isObject),
});
const isPerson = having<Pick<Person, 'id' | 'name' | 'roles' | 'siteIds'>>({
  id: isText,
  name: isText,
  roles: listOf(isText),
  siteIds: listOf(isText),
});

/** The shapes of all that the server answers. */
export const answers = {
  push: having<PushAnswer>({
    outcomes: listOf(having<PushAnswer['outcomes'][number]>({ id: isText, outcome: isOutcome })),
    revision: isCount,
    now: isMoment,
    renumbered: orLeftOut(listOf(isText)),
  }),
  pull: having<PullAnswer>({
    changes: listOf(isChange),
    revision: isCount,
    hasMore: isFlag,
    scope: isText,
    now: isMoment,
    version: orLeftOut(isCount),
    numbers: orLeftOut((given) => isObject(given) && Object.values(given as object).every(listOf(isText))),
  }),
  work: having<{ changes: readonly Change[] }>({ changes: listOf(isChange) }),
  file: having<FileAnswer>({ received: isCount, isWhole: isFlag }),
  find: having<{ works: readonly FoundWork[] }>({
    works: listOf(
      having<Pick<FoundWork, 'id' | 'number' | 'title' | 'state' | 'assetId' | 'placeId' | 'endedAt'>>({
        id: isText,
        number: isText,
        title: isText,
        state: isText,
        assetId: isText,
        placeId: isText,
        endedAt: orNull(isMoment),
      }),
    ),
  }),
  code: having<{ assetId: AssetId }>({ assetId: isText }),
  missingOfMonth: having<{ jobs: readonly (readonly OwedThing[])[] }>({ jobs: listOf(Array.isArray) }),
  log: having<LogAnswer>({ operations: listOf(isObject), before: orNull(isText) }),
  calendar: having<{ link: CalendarLink | null }>({
    link: orNull(having<CalendarLink>({ madeAt: isMoment, readAt: orNull(isMoment) })),
  }),
  calendarPath: having<{ path: string }>({ path: isText }),
  undeliveredMails: having<{ mails: readonly UndeliveredMail[] }>({
    mails: listOf(
      having<UndeliveredMail>({ id: isText, to: isText, subject: isText, tries: isCount, putAsideAt: isMoment }),
    ),
  }),
  mails: having<{ mails: readonly SentMail[] }>({
    mails: listOf(having<SentMail>({ id: isText, subject: isText, text: isText, sentAt: isMoment })),
  }),
  sessions: having<{ sessions: readonly DeviceSession[]; present: string }>({
    sessions: listOf(having<DeviceSession>({ id: isText, device: isText, signedInAt: isMoment, lastUsedAt: isMoment })),
    present: isText,
  }),
  session: having<{ person: Person }>({ person: isPerson }),
  about: having<About>({
    demo: orNull((given) => {
      const isDemo = having<NonNullable<About['demo']>>({ password: isText, people: listOf(isObject) });
      return isDemo(given);
    }),
  }),
} satisfies Readonly<Record<string, Shape>>;
