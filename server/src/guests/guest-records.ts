import { createHash, randomUUID } from 'node:crypto';
import {
  asId,
  instantFromMillis,
  OilcanError,
  type PersonId,
  type ReportId,
  type SiteId,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import type { Result } from '@oilcan/core/operations';
import { StagedRecords, type Records } from '@oilcan/core/records';
import {
  publiclyKnown,
  putGuestMeToo,
  putGuestReport,
  putGuestWords,
  whereLabelLeads,
  type DeadLabel,
  type GuestReport,
  type LabelLeadsTo,
  type Making,
} from '@oilcan/core/raising/guests';
import { type Report, type ReportPhoto } from '@oilcan/core/raising/reports';
import { rulesOf, type RaiseRules } from '@oilcan/core/orders/raise-rules';
import { SETTINGS_ID, settingsAt } from '@oilcan/core/orders/settings';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import { currentRevision } from '../database/revisions';
import { SqlRecords } from '../database/sql-records';
import { runnerOf } from '../database/statements';
import { loggedByNobody, writeLog, type DoneByNobody } from '../log/operation-log';
import type { ChangeEvents } from '../events/change-events';
import { noticesOfPush } from '../notices/notices-of-push';
import { takeNumbers } from '../numbers/reserve-numbers';

/** Whom it is by that nobody with an account did. */
const nobody = asId<PersonId>('');

/** What the page of a label is made of. */
export interface LabelPage {
  readonly there: LabelLeadsTo;
  readonly placeName: string;
  readonly known: readonly WorkOrder[];
  readonly rules: RaiseRules;
  readonly zone: string;
}

/** What the page of a report is made of. */
export interface FollowPage {
  readonly report: Report;
  readonly assetName: string | null;
  readonly placeName: string;
  readonly zone: string;
}

/** What people without an account read and write. Each write is one transaction, with its notices and its line in the log. */
export class GuestRecords {
  readonly #database: Knex;
  readonly #events: ChangeEvents;
  readonly #clock: Clock;

  constructor(database: Knex, events: ChangeEvents, clock: Clock) {
    this.#database = database;
    this.#events = events;
    this.#clock = clock;
  }

  /** What stands on the page of a label, or why it has none. */
  labelPage(key: string): Promise<LabelPage | DeadLabel> {
    return this.#read(async (records) => {
      const there = await whereLabelLeads(records, key);
      if (typeof there === 'string') return there;
      const { siteId, placeId } = there.label;
      const place = await records.get('places', there.asset?.placeId ?? placeId);
      return {
        there,
        placeName: place?.name ?? '',
        known: await publiclyKnown(records, there),
        rules: rulesOf(siteId, await records.get('raiseRules', siteId)),
        zone: await zoneAt(records, siteId),
      };
    });
  }

  /** What stands on the page of a report of somebody without an account; undefined for any other. */
  followPage(id: ReportId): Promise<FollowPage | undefined> {
    return this.#read(async (records) => {
      const report = await records.get('reports', id);
      if (report === undefined || report.by !== null) return undefined;
      const asset = report.assetId === null ? undefined : await records.get('assets', report.assetId);
      return {
        report,
        assetName: asset?.name ?? null,
        placeName: (await records.get('places', report.placeId))?.name ?? '',
        zone: await zoneAt(records, report.siteId),
      };
    });
  }

  /** The report that came under this name before; undefined for none. */
  async cameBefore(postId: string): Promise<ReportId | undefined> {
    const stored: { report: string } | undefined = await this.#database('guest_posts')
      .where('id', digestOf(postId))
      .first('report');
    return stored === undefined ? undefined : asId<ReportId>(stored.report);
  }

  report(key: string, postId: string, said: GuestReport, photo: ReportPhoto | null): Promise<Result<Report>> {
    return this.#make('guest.report', key, postId, (records, there, making) =>
      putGuestReport(records, there, said, { ...making, photo }),
    );
  }

  meToo(key: string, postId: string, workOrderId: WorkOrderId): Promise<Result<Report>> {
    return this.#make('guest.me-too', key, postId, (records, there, making) =>
      putGuestMeToo(records, there, workOrderId, making),
    );
  }

  say(id: ReportId, postId: string, words: string, photo: ReportPhoto | null): Promise<Result<Report>> {
    return this.#write('guest.say', async (records) => {
      const at = instantFromMillis(this.#clock());
      return putGuestWords(records, id, { words, photo }, { id: `guest-${digestOf(postId)}`, at });
    });
  }

  #make(
    name: DoneByNobody,
    key: string,
    postId: string,
    put: (records: Records, there: LabelLeadsTo, making: Making) => Promise<Result<Report>>,
  ): Promise<Result<Report>> {
    return this.#write(name, async (records, transaction) => {
      // Two of the same may arrive at once: the second one finds the first.
      const before: { report: string } | undefined = await transaction('guest_posts')
        .where('id', digestOf(postId))
        .first('report');
      const there = await whereLabelLeads(records, key);
      if (typeof there === 'string') throw new OilcanError('not_found', { what: 'label' });
      if (before !== undefined) {
        const report = await records.get('reports', before.report);
        if (report !== undefined) return { ok: true, value: report };
      }
      const id = asId<ReportId>(randomUUID());
      const [number = ''] = await takeNumbers(transaction, 'report', 1);
      const made = await put(records, there, { id, number, at: instantFromMillis(this.#clock()) });
      if (made.ok) await transaction('guest_posts').insert({ id: digestOf(postId), report: id });
      return made;
    });
  }

  #read<T>(read: (records: Records) => Promise<T>): Promise<T> {
    return this.#database.transaction((transaction) => read(new SqlRecords(transaction)), { readOnly: true });
  }

  async #write(
    name: DoneByNobody,
    write: (records: Records, transaction: Knex.Transaction) => Promise<Result<Report>>,
  ): Promise<Result<Report>> {
    const done = await this.#database.transaction(async (transaction) => {
      const now = instantFromMillis(this.#clock());
      const records = new SqlRecords(transaction);
      const batch = new StagedRecords(records);
      const made = await write(batch, transaction);
      const changes = made.ok ? batch.changes() : [];
      if (!made.ok || changes.length === 0) return { made, revision: null, concerned: records.audience };
      const told = await noticesOfPush(transaction, records, changes, nobody, now);
      const { id, number } = made.value;
      const logged = await loggedByNobody(name, changes, new StagedRecords(records), { reportId: id, number }, now);
      await records.write([...changes, ...told]);
      const revision = await currentRevision(transaction);
      await writeLog(await runnerOf(transaction), [logged], now, revision);
      return { made, revision, concerned: records.audience };
    });
    if (done.revision !== null) this.#events.tell(done.revision, done.concerned);
    return done.made;
  }
}

async function zoneAt(records: Records, siteId: SiteId): Promise<string> {
  const settings = await records.get('settings', SETTINGS_ID);
  return settings === undefined ? 'UTC' : settingsAt(settings, await records.get('sites', siteId)).zone;
}

/** What a browser called its post is as good as a link to it, so only a digest is kept. */
const digestOf = (postId: string): string => createHash('sha256').update(postId).digest('hex');
