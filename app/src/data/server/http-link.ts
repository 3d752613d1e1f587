import { OilcanError, type AssetId, type ErrorValues, type FileId, type WorkOrderId } from '@oilcan/core/kernel';
import type { FoundWork } from '@oilcan/core/overview/find';
import type { Operation } from '@oilcan/core/operations';
import type { PastOf } from '@oilcan/core/past/past';
import type { Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import { isErrorCode } from '@oilcan/core/registry';
import { PROTOCOL, rangeText, type LogAnswer, type PullAnswer, type PushAnswer } from '@oilcan/core/sync';
import type { OwedThing, WorkKind } from '@oilcan/core/orders/work';
import {
  answers,
  type About,
  type SentMail,
  type UndeliveredMail,
  type CalendarLink,
  type DeviceSession,
  type Shape,
} from './answers';
import { nameOf } from '../browser/name-of';
import { within } from './within';
import { Unreachable, type FileAnswer, type ServerLink, type PullQuestion } from './server-link';

/** How long a request may take before it counts as lost. */
const REQUEST_MILLISECONDS = 20_000;
/** More words than this are not looked for. */
const LONGEST_WORDS = 100;
/** A manual over a thin line. */
const FILE_MILLISECONDS = 300_000;

/** The server over HTTP, at the address the application came from. */
export const httpLink = {
  push: (operations: readonly Operation[]): Promise<PushAnswer> =>
    request<PushAnswer>(
      'POST',
      '/api/operations',
      answers.push,
      json({ protocol: PROTOCOL.newest, oldest: PROTOCOL.oldest, operations }),
    ),
  pull: ({ since, isFilling, device, tablesAfter }: PullQuestion): Promise<PullAnswer> => {
    // Short, since it goes with every look for news.
    const asked = [
      `since=${since}`,
      ...(isFilling ? ['filling=true'] : []),
      `protocol=${rangeText(PROTOCOL)}`,
      ...(device === null ? [] : [`device=${device}`]),
      ...(tablesAfter === null ? [] : [`tablesAfter=${tablesAfter}`]),
    ];
    return request<PullAnswer>('GET', `/api/sync?${asked.join('&')}`, answers.pull);
  },
  work: (id: WorkOrderId): Promise<{ readonly changes: readonly Change[] }> =>
    request('GET', `/api/work/${id}`, answers.work),
  received: (id: FileId): Promise<FileAnswer> => request<FileAnswer>('GET', `/api/files/${id}/received`, answers.file),
  sendPiece: (id: FileId, from: number, total: number, piece: Uint8Array<ArrayBuffer>): Promise<FileAnswer> =>
    request<FileAnswer>('PUT', `/api/files/${id}`, answers.file, {
      body: piece,
      headers: {
        'content-type': 'application/octet-stream',
        'content-range': `bytes ${from}-${from + piece.length - 1}/${total}`,
      },
    }),
  /** A file as it is. */
  file: async (id: FileId): Promise<Uint8Array<ArrayBuffer>> => {
    const read = async (response: Response) => new Uint8Array(await response.arrayBuffer());
    const content = await body(`/api/files/${id}`, read, FILE_MILLISECONDS);
    if (nameOf(content) !== id) throw new Unreachable();
    return content;
  },
  /** A past, as the text of a `PastAnswer`. */
  past: async ({ scope, id }: PastOf): Promise<string> => {
    const asked = scope === 'place' ? `place=${id}` : `asset=${id}&with=${scope}`;
    const text = await body(`/api/past?${asked}`, (response) => response.text());
    if (!text.startsWith('{') || !text.includes('"recordsSince"')) throw new Unreachable();
    return text;
  },
  /** Work of my sites by its words. */
  find: (words: string): Promise<{ readonly works: readonly FoundWork[] }> =>
    request('GET', `/api/find?words=${encodeURIComponent(words.slice(0, LONGEST_WORDS))}`, answers.find),
  /** The machine that a label belongs to. */
  code: (code: string): Promise<{ readonly assetId: AssetId }> =>
    request('GET', `/api/codes/${encodeURIComponent(code)}`, answers.code),
  /** Of each job of a kind that was finished in the last month: what was not given. */
  missingOfMonth: (kind: WorkKind): Promise<{ readonly jobs: readonly (readonly OwedThing[])[] }> =>
    request('GET', `/api/owed?kind=${kind}`, answers.missingOfMonth),
  /** Who did what, by the query of its address. */
  log: (query: string): Promise<LogAnswer> => request('GET', `/api/log?${query}`, answers.log),
  calendar: (): Promise<{ readonly link: CalendarLink | null }> => request('GET', '/api/calendar', answers.calendar),
  makeCalendar: (): Promise<{ readonly path: string }> => request('POST', '/api/calendar', answers.calendarPath),
  withdrawCalendar: (): Promise<void> => request('DELETE', '/api/calendar', null),
  undeliveredMails: (): Promise<{ readonly mails: readonly UndeliveredMail[] }> =>
    request('GET', '/api/mails/undelivered', answers.undeliveredMails),
  tryMailAgain: (id: string): Promise<void> => request('POST', `/api/mails/undelivered/${id}/again`, null),
  sessions: (): Promise<{ readonly sessions: readonly DeviceSession[]; readonly present: string }> =>
    request('GET', '/api/sessions', answers.sessions),
  endSession: (id: string): Promise<void> => request('DELETE', `/api/sessions/${id}`, null),
  changePassword: (present: string, next: string): Promise<void> =>
    request('PUT', '/api/password', null, json({ present, next })),
  mails: (): Promise<{ readonly mails: readonly SentMail[] }> => request('GET', '/api/mails', answers.mails),
  session: (): Promise<{ person: Person }> => request('GET', '/api/session', answers.session),
  about: (): Promise<About> => request<About>('GET', '/api/about', answers.about),
  signIn: (name: string, password: string): Promise<{ person: Person }> =>
    request('POST', '/api/session', answers.session, json({ name, password })),
  signOut: (): Promise<void> => request('DELETE', '/api/session', null),
} satisfies ServerLink & Record<string, unknown>;

interface Message {
  readonly headers: Readonly<Record<string, string>>;
  readonly body: NonNullable<RequestInit['body']>;
}

/** Below this, packing costs more than it saves. */
const PACKED_FROM = 1_024;

/** A body in JSON, packed where the browser can. */
async function json(value: unknown): Promise<Message> {
  const text = JSON.stringify(value);
  const headers = { 'content-type': 'application/json' };
  if (text.length < PACKED_FROM || typeof CompressionStream === 'undefined') return { headers, body: text };
  const packed = new Blob([text]).stream().pipeThrough(new CompressionStream('gzip'));
  const body = await new Response(packed).arrayBuffer();
  return { headers: { ...headers, 'content-encoding': 'gzip' }, body };
}

/** @param shape what the answer must be like to be one of ours; null where there is none but that it was done (204) */
async function request<Answer>(
  method: string,
  path: string,
  shape: Shape | null,
  message?: Message | Promise<Message>,
): Promise<Answer> {
  let response: Response;
  let text: string;
  try {
    const sent = await message;
    [response, text] = await within(REQUEST_MILLISECONDS, async (signal) => {
      // The server knows where its own application comes from.
      const answer = await fetch(path, {
        method,
        credentials: 'same-origin',
        referrerPolicy: 'no-referrer',
        signal,
        ...sent,
      });
      return [answer, await answer.text()];
    });
  } catch {
    throw new Unreachable();
  }
  const given = readJson(text);
  if (!response.ok) throw problemFrom(given);
  const isOurs = shape === null ? response.status === 204 : shape(given);
  if (!isOurs) throw new Unreachable();
  return given as Answer;
}

/** The body of an answer as it is, unread. */
async function body<Body>(
  path: string,
  read: (response: Response) => Promise<Body>,
  milliseconds = REQUEST_MILLISECONDS,
): Promise<Body> {
  try {
    return await within(milliseconds, async (signal) => {
      const response = await fetch(path, { signal });
      if (!response.ok) throw problemFrom(readJson(await response.text()));
      return read(response);
    });
  } catch (error) {
    throw error instanceof OilcanError ? error : new Unreachable();
  }
}

function readJson(text: string): unknown {
  try {
    return text === '' ? undefined : JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** The server's problem details as an error; what does not come from our server counts as no answer. */
function problemFrom(given: unknown): Error {
  if (typeof given !== 'object' || given === null || !('code' in given)) return new Unreachable();
  const { code } = given;
  if (typeof code !== 'string' || !isErrorCode(code)) return new Unreachable();
  const values = 'values' in given ? (given.values as ErrorValues) : {};
  const field = 'field' in given && typeof given.field === 'string' ? given.field : undefined;
  return new OilcanError(code, values, field);
}
