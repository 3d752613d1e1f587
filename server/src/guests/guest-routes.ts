import { existsSync, readFileSync } from 'node:fs';
import multipart from '@fastify/multipart';
import { asId, isLocalDay, OilcanError, timeOfDay, type WorkOrderId } from '@oilcan/core/kernel';
import { isLabelKey } from '@oilcan/core/raising/labels';
import type { Result } from '@oilcan/core/operations';
import { readArgs } from '@oilcan/core/operations/read-args';
import { reportLabelCode } from '@oilcan/core/plant/plant';
import { sentenceFor, statusFor } from '@oilcan/core/registry';
import { guestReportSchema, guestWordsSchema } from '@oilcan/core/raising/guests';
import type { Report } from '@oilcan/core/raising/reports';
import type { FastifyError, FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import type { Knex } from 'knex';
import { dialectOf } from '../database/dialects';
import type { Clock } from '../clock';
import type { FileStore } from '../files/file-store';
import { translate } from '../errors/problem';
import type { ChangeEvents } from '../events/change-events';
import { FollowLinks } from './follow-links';
import type { GuestTexts } from './guest-form';
import { GuestCounts, type GuestLimits } from './guest-limits';
import { deadLabelPage, deadLinkPage, followPage, guestContentSources, labelPage, refusedPage } from './guest-pages';
import { GuestPosts, newPostId, postIdIn, sendPage, type PostedTo } from './guest-posts';
import { GuestRecords } from './guest-records';

interface Options {
  readonly database: Knex;
  readonly clock: Clock;
  readonly files: FileStore;
  readonly events: ChangeEvents;
  readonly limits: GuestLimits;
  /** The bundled script of the pages; without it they work by forms alone. */
  readonly scriptFile: string;
}

const WALL_TIME = /^(\d{4}-\d\d-\d\d)T(\d\d):(\d\d)$/;

/** Nobody is signed in here, so nothing is done in anybody's name, from wherever a form comes. */
const forEverybody = { schema: { hide: true }, config: { isForEverybody: true } } as const;

interface OfLabel {
  readonly Params: { readonly key: string };
}
interface OfReport {
  readonly Params: { readonly token: string };
}

/**
 * Pages for people without an account: report by the label of a machine, follow what became of it, add to it. They are no part of the
 * application, and work without a script. They tell nothing of people, of other machines, or of labels that lead nowhere.
 */
export async function guestRoutes(server: FastifyInstance, options: Options): Promise<void> {
  const { database, clock, limits, scriptFile } = options;
  const records = new GuestRecords(database, options.events, clock);
  const links = await FollowLinks.of(database);
  const counts = new GuestCounts(limits, (bounds) => dialectOf(database).counts(database, bounds));
  const script = existsSync(scriptFile) ? readFileSync(scriptFile) : null;
  const to: PostedTo = { ...options, records, links, counts };
  await server.register(multipart);

  server.addHook('onRequest', (_request, reply, done) => {
    reply.raw.setHeader('Content-Security-Policy', guestContentSources);
    // To this server alone: with none at all a browser says of a form that it comes from nowhere.
    reply.raw.setHeader('Referrer-Policy', 'same-origin');
    reply.raw.setHeader('X-Robots-Tag', 'noindex, nofollow');
    reply.header('cache-control', 'no-store');
    done();
  });

  // What goes wrong before a form is read is a page too, from which the way back leads to what was typed.
  server.setErrorHandler((error: FastifyError | OilcanError, request, reply) => {
    const { code, values } = translate(error);
    const status = statusFor(code);
    if (status >= 500) request.log.error({ err: error }, 'request failed');
    if (typeof values['seconds'] === 'number') reply.header('retry-after', String(values['seconds']));
    const sentence = sentenceFor(code, values);
    if (request.headers.accept === 'application/json')
      return reply.code(status).type('application/json').send({ sentence });
    return sendPage(reply, status, refusedPage(sentence));
  });

  server.get('/robots.txt', forEverybody, (_request, reply) =>
    reply.type('text/plain; charset=utf-8').send('User-agent: *\nDisallow: /\n'),
  );

  server.get('/r/page.js', forEverybody, (_request, reply) => {
    if (script === null) throw new OilcanError('route_unknown');
    return reply.header('cache-control', 'no-cache').type('text/javascript; charset=utf-8').send(script);
  });

  labelRoutes(server, to);
  followRoutes(server, to);
}

/** Reporting by the label of a machine. */
function labelRoutes(server: FastifyInstance, to: PostedTo): void {
  const { records, counts } = to;
  const posts = new GuestPosts(to);
  async function sendDead(request: FastifyRequest, reply: FastifyReply, why: Parameters<typeof deadLabelPage>[0]) {
    if (why === 'unknown') await counts.wrong(request.ip);
    return sendPage(reply, why === 'unknown' ? 404 : 410, deadLabelPage(why));
  }

  server.get<OfLabel>('/r/:key', forEverybody, async (request, reply) => {
    const key = request.params.key.toUpperCase();
    await counts.beforeLooking(request.ip);
    if (isLabelKey(key) && (await isSignedIn(server, request)))
      return reply.redirect(`/code/${encodeURIComponent(reportLabelCode(key))}`, 302);
    const found = isLabelKey(key) ? await records.labelPage(key) : 'unknown';
    if (typeof found !== 'string')
      return sendPage(reply, 200, labelPage(found, { key, postId: newPostId(), notTaken: null }));
    if (found === 'unknown') await counts.wrong(request.ip);
    return sendPage(reply, found === 'unknown' ? 404 : 410, deadLabelPage(found));
  });

  server.post<OfLabel>('/r/:key', forEverybody, async (request, reply) => {
    const key = request.params.key.toUpperCase();
    const found = isLabelKey(key) ? await records.labelPage(key) : 'unknown';
    if (typeof found === 'string') return sendDead(request, reply, found);
    const texts: GuestTexts = {};
    const take = (): Promise<Result<Report>> =>
      posts.read(request, texts, async (photo) => {
        const said = readArgs(guestReportSchema, reportIn(texts, found.zone));
        if (!said.ok) return said;
        const postId = postIdIn(texts);
        const before = await records.cameBefore(postId);
        if (before !== undefined) return posts.cameAgain(before);
        await counts.beforeReport(key);
        return posts.keepingPhoto(photo, (kept) => records.report(key, postId, said.value, kept));
      });
    return posts.answer(request, reply, take, (notTaken) =>
      labelPage(found, { key, postId: newPostId(), notTaken: { ...notTaken, texts } }),
    );
  });

  server.post<OfLabel & { Body: Readonly<Record<string, string>> }>(
    '/r/:key/me-too',
    forEverybody,
    async (request, reply) => {
      const key = request.params.key.toUpperCase();
      const found = isLabelKey(key) ? await records.labelPage(key) : 'unknown';
      if (typeof found === 'string') return sendDead(request, reply, found);
      const texts: GuestTexts = {};
      const take = (): Promise<Result<Report>> =>
        posts.read(request, texts, async () => {
          const postId = postIdIn(texts);
          const before = await records.cameBefore(postId);
          if (before !== undefined) return posts.cameAgain(before);
          await counts.beforeReport(key);
          return records.meToo(key, postId, asId<WorkOrderId>(texts['work'] ?? ''));
        });
      return posts.answer(request, reply, take, (notTaken) => labelPage(found, { key, postId: newPostId(), notTaken }));
    },
  );
}

/** The private page of a report. */
function followRoutes(server: FastifyInstance, to: PostedTo): void {
  const { records, links, counts } = to;
  const posts = new GuestPosts(to);
  const followed = async (token: string) => {
    const id = links.reportOf(token);
    return id === null ? undefined : records.followPage(id);
  };

  server.get<OfReport>('/r/follow/:token', forEverybody, async (request, reply) => {
    const { token } = request.params;
    await counts.beforeLooking(request.ip);
    const found = await followed(token);
    if (found !== undefined)
      return sendPage(reply, 200, followPage(found, { token, postId: newPostId(), notTaken: null }));
    await counts.wrong(request.ip);
    return sendPage(reply, 404, deadLinkPage());
  });

  server.post<OfReport>('/r/follow/:token', forEverybody, async (request, reply) => {
    const { token } = request.params;
    await counts.beforeLooking(request.ip);
    const found = await followed(token);
    if (found === undefined) {
      await counts.wrong(request.ip);
      return sendPage(reply, 404, deadLinkPage());
    }
    const texts: GuestTexts = {};
    const take = (): Promise<Result<Report>> =>
      posts.read(request, texts, async (photo) => {
        const said = readArgs(guestWordsSchema, { words: texts['words'] ?? '' });
        if (!said.ok) return said;
        const postId = postIdIn(texts);
        return posts.keepingPhoto(photo, (kept) => records.say(found.report.id, postId, said.value.words, kept));
      });
    return posts.answer(request, reply, take, (notTaken) =>
      followPage(found, { token, postId: newPostId(), notTaken: { ...notTaken, texts } }),
    );
  });
}

/** The fields of the form as a report. */
function reportIn(texts: GuestTexts, zone: string): unknown {
  const { words = '', condition = '', danger = '', since = '', name = '', reach = '' } = texts;
  return {
    words,
    condition: condition === '' ? null : condition,
    danger: danger === 'yes' ? true : danger === 'no' ? false : null,
    since: since === '' ? null : instantOf(since, zone),
    name,
    reach,
  };
}

/** A time as it is typed there, on the clock of the site. */
function instantOf(typed: string, zone: string): string {
  const [, day = '', hours, minutes] = WALL_TIME.exec(typed) ?? [];
  return isLocalDay(day) ? timeOfDay(day, Number(hours) * 60 + Number(minutes), zone) : typed;
}

/** Whoever works here is led on into the application. */
async function isSignedIn(server: FastifyInstance, request: FastifyRequest): Promise<boolean> {
  return server.personOf(request).then(
    () => true,
    () => false,
  );
}
