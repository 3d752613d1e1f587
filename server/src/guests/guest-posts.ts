import { randomBytes } from 'node:crypto';
import { OilcanError, type ReportId } from '@oilcan/core/kernel';
import type { Refusal, Result } from '@oilcan/core/operations';
import { sentenceFor, statusFor } from '@oilcan/core/registry';
import type { Report, ReportPhoto } from '@oilcan/core/raising/reports';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import { translate } from '../errors/problem';
import type { FileStore } from '../files/file-store';
import type { FollowLinks } from './follow-links';
import { readGuestForm, type GuestPhoto, type GuestTexts } from './guest-form';
import type { GuestCounts } from './guest-limits';
import type { NotTaken } from './guest-pages';
import type { GuestRecords } from './guest-records';

/** What a browser calls a post, so that it counts once however often it arrives. */
const POST_ID = /^[A-Za-z0-9_-]{16,128}$/;

/** Where what is posted goes, and by what it is bounded. */
export interface PostedTo {
  readonly database: Knex;
  readonly clock: Clock;
  readonly files: FileStore;
  readonly records: GuestRecords;
  readonly links: FollowLinks;
  readonly counts: GuestCounts;
}

/** Takes what people without an account post, and answers it. */
export class GuestPosts {
  readonly #to: PostedTo;

  constructor(to: PostedTo) {
    this.#to = to;
  }

  /** Reads a form and does something with it. Who has sent too much is told so with their words still there; a photo of theirs is not kept. */
  async read(
    request: FastifyRequest,
    texts: GuestTexts,
    act: (photo: GuestPhoto | null) => Promise<Result<Report>>,
  ): Promise<Result<Report>> {
    const tooMany = await this.#to.counts.beforePost(request.ip).then(
      () => null,
      (error: unknown) => ({ error }),
    );
    const photo = await readGuestForm(request, texts, this.#to, tooMany === null);
    try {
      if (tooMany !== null) throw tooMany.error;
      return await act(photo);
    } finally {
      await photo?.forget();
    }
  }

  /** Keeps the photo just before what names it; what is then refused leaves nothing behind that the next sweep does not take away. */
  async keepingPhoto(
    photo: GuestPhoto | null,
    make: (photo: ReportPhoto | null) => Promise<Result<Report>>,
  ): Promise<Result<Report>> {
    return make(photo === null ? null : await photo.keep());
  }

  /** The report that a post made that came before. */
  async cameAgain(id: ReportId): Promise<Result<Report>> {
    const found = await this.#to.records.followPage(id);
    return found === undefined
      ? { ok: false, code: 'not_found', values: { what: 'report' }, field: null }
      : { ok: true, value: found.report };
  }

  /** What was taken leads to its private page; what was not is told, with what was typed still there. */
  async answer(
    request: FastifyRequest,
    reply: FastifyReply,
    take: () => Promise<Result<Report>>,
    again: (notTaken: NotTaken) => string,
  ): Promise<FastifyReply> {
    const isScript = request.headers.accept === 'application/json';
    const taken = await take().catch((error: unknown): Refusal => refusalOf(error));
    if (taken.ok) {
      const follow = `/r/follow/${this.#to.links.tokenOf(taken.value.id)}`;
      if (!isScript) return reply.redirect(follow, 303);
      return reply.code(201).type('application/json').send({ number: taken.value.number, follow });
    }
    const sentence = sentenceOf(taken);
    const status = statusFor(taken.code);
    const { seconds } = taken.values;
    if (typeof seconds === 'number') reply.header('retry-after', String(seconds));
    if (isScript) return reply.code(status).type('application/json').send({ sentence });
    return sendPage(reply, status, again({ sentence, texts: {} }));
  }
}

export const sendPage = (reply: FastifyReply, status: number, page: string): FastifyReply =>
  reply.code(status).type('text/html; charset=utf-8').send(page);

export const newPostId = (): string => randomBytes(18).toString('base64url');

export function postIdIn({ post = '' }: GuestTexts): string {
  if (!POST_ID.test(post)) throw new OilcanError('invalid', { reason: 'Load the page again, then send it.' });
  return post;
}

/** What a framework's own error means, as a refusal; throws what nobody expects. */
function refusalOf(error: unknown): Refusal {
  const { code, values, field } = translate(error as Error & { code: string; name: string });
  if (code === 'unexpected') throw error;
  return { ok: false, code, values, field: field ?? null };
}

const sentenceOf = ({ code, values }: Refusal): string => sentenceFor(code, values);
