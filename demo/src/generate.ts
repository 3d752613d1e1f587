import { addMinutes, asId, type Instant, type PointId, type SiteId } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import { documentsOf, pictureOf, type DemoDocument } from './documents/documents';
import type { Line } from './line';
import { codesOf, installationsOf } from './mountain/installations';
import { contactsOfSector } from './mountain/contacts';
import { hazardRegisterOf } from './mountain/hazard-register';
import { assetsOf, placesOf, pointsOf, sectorOf, type Sector } from './mountain/mountain';
import { crews, lifts, people, rates, settings, sites } from './mountain/people';
import { parts, shelfOf, shelves, Stockroom, stores } from './mountain/stores';
import { openJobsOf, openWorkFrom, type OpenWork } from './open/open-work';
import { ofPlan, plansOf, proceduresOfPlans } from './open/plans';
import { permitsOf } from './open/permits';
import { proceduresOf } from './open/procedures';
import { incidentsOf, raiseRules, reportLabelsOf, reportsOf, waitingWorkOf } from './open/reports';
import { storeDayOf } from './open/store-day';
import { PAST_DAYS, pastEvents, PastWriter } from './past/past';

export interface DemoOptions {
  /** The present of the demo; its past and its due times are relative to it. */
  readonly now: Instant;
  /** 1 for the mountain as it is, 12 for twelve of everything that stands on it. */
  readonly scale: number;
  /** What everybody in the demo signs in with. */
  readonly password: string;
  /** What `makeDocuments` gives; a demo without documents is made sooner. */
  readonly documents: readonly DemoDocument[];
}

const FIRST_NUMBER = 901;
const FIRST_REPORT = 280;
/** Numbers that are kept free for the reports and incidents of one sector. */
const REPORTS_IN_SECTOR = 20;

/** The whole of Graupel Peak Ropeways, line by line; the same for the same options. */
export function* generateDemo({ now, scale, password, documents }: DemoOptions): Generator<Line> {
  const sectors = Array.from({ length: Math.max(1, Math.round(scale)) }, (_, index) => sectorOf(index + 1));
  yield { table: 'settings', row: settings };
  for (const row of rates) yield { table: 'rates', row };
  for (const row of sites) yield { table: 'sites', row };
  for (const row of people) {
    yield { table: 'people', row };
    yield { account: { person: row.id, name: row.name, password } };
  }
  for (const row of crews) yield { table: 'crews', row };
  for (const row of raiseRules) yield { table: 'raiseRules', row };
  for (const row of stores) yield { table: 'stores', row };
  for (const row of parts) yield { table: 'parts', row };
  for (const { bin } of shelves) yield { table: 'bins', row: bin };

  const mountains = sectors.map((sector) => ({ sector, assets: assetMap(sector, now) }));
  const events = mountains.flatMap(({ sector, assets }) => pastEvents(sector, assets, now));
  events.sort((a, b) => (a.at < b.at ? -1 : 1));
  const open = openWorks(mountains, FIRST_NUMBER + events.length, now);
  const outOf = new Map(open.filter(({ out }) => out.length > 0).map(({ work, out }) => [work.assetId, out]));
  for (const { sector, assets } of mountains) {
    const places = placesOf(sector);
    for (const row of places) yield { table: 'places', row };
    for (const row of hazardRegisterOf(sector, assets, places)) yield { table: 'hazardRegister', row };
    for (const [key, asset] of assets) {
      const openStoppages = outOf.get(asset.id);
      const picture = pictureOf(key, documents);
      const known = {
        ...(openStoppages === undefined ? {} : { openStoppages }),
        ...(picture === undefined ? {} : { picture }),
      };
      yield { table: 'assets', row: { ...asset, ...known } };
    }
    for (const row of documentsOf(sector, assets, documents)) yield { table: 'documents', row };
    for (const row of installationsOf(sector, assets, now)) yield { table: 'installations', row };
    for (const row of codesOf(sector, assets, now)) yield { table: 'codes', row };
    for (const row of contactsOfSector(sector, assets)) yield { table: 'contacts', row };
    for (const row of [...proceduresOf(sector), ...proceduresOfPlans(sector, assets)])
      yield { table: 'procedures', row };
  }
  for (const { fileId, mediaType, content } of documents) {
    yield { file: { id: fileId, mediaType, content: Buffer.from(content).toString('base64') } };
  }

  const stockroom = new Stockroom();
  stockroom.open(addMinutes(now, -(PAST_DAYS + 1) * 24 * 60));
  const writer = new PastWriter(stockroom, now);
  let number = FIRST_NUMBER;
  for (const event of events) {
    const { work, entries } = writer.write(event, number);
    number += 1;
    yield { table: 'workOrders', row: work };
    for (const row of entries) yield { table: 'entries', row };
  }

  // Tyre 52 is due tomorrow and needs one.
  stockroom.count(shelfOf('TUBE-4.00-8'), 0, addMinutes(now, -26 * 60));

  for (const { work, sector, stops, shares, steps, entries } of open) {
    const plan = ofPlan(sector, work);
    yield { table: 'workOrders', row: plan === undefined ? work : { ...work, plan } };
    for (const row of stops) yield { table: 'stops', row };
    for (const row of shares) yield { table: 'shares', row };
    for (const row of steps) yield { table: 'steps', row };
    for (const row of entries) yield { table: 'entries', row };
    for (const row of permitsOf(work, now)) yield { table: 'permits', row };
  }
  for (const { sector, assets } of mountains) {
    const siteOf = (key: string): SiteId => assets.get(key)?.siteId ?? lifts;
    const latestOf = (key: string) => writer.latest.get(asId<PointId>(sector.idOf(key))) ?? [];
    for (const row of pointsOf(sector, siteOf, latestOf)) yield { table: 'points', row };
    const works = open.filter((each) => each.sector === sector).map(({ work }) => work);
    for (const row of plansOf(sector, assets, works, latestOf, now)) yield { table: 'plans', row };
    for (const row of reportLabelsOf(sector, assets, now)) yield { table: 'reportLabels', row };
    const firstReport = FIRST_REPORT + sector.number * REPORTS_IN_SECTOR;
    for (const row of reportsOf(sector, assets, works, firstReport, now)) yield { table: 'reports', row };
    for (const row of incidentsOf(sector, assets, firstReport + REPORTS_IN_SECTOR - 1, now))
      yield { table: 'incidents', row };
    const lastNumber = FIRST_NUMBER + events.length + open.length;
    for (const row of waitingWorkOf(sector, assets, lastNumber + sector.number, now))
      yield { table: 'workOrders', row };
  }
  // There is one store, however many mountains stand around it.
  for (const { sector } of mountains.slice(0, 1)) {
    const works = open.filter((each) => each.sector === sector).map(({ work }) => work);
    const { requests, transfers, counts } = storeDayOf(sector.idOf('store-'), works, stockroom, now);
    for (const row of requests) yield { table: 'requests', row };
    for (const row of transfers) yield { table: 'transfers', row };
    for (const row of counts) yield { table: 'counts', row };
  }
  for (const row of stockroom.levels()) yield { table: 'stock', row };
  for (const row of stockroom.movements) yield { table: 'movements', row };
}

interface Mountain {
  readonly sector: Sector;
  readonly assets: ReadonlyMap<string, Asset>;
}

interface OpenWorkOf extends OpenWork {
  readonly sector: Sector;
}

/** What is open everywhere, numbered on from the past. */
function openWorks(mountains: readonly Mountain[], firstNumber: number, now: Instant): OpenWorkOf[] {
  const out = new Set<string>();
  const works: OpenWorkOf[] = [];
  for (const { sector, assets } of mountains) {
    for (const job of openJobsOf(sector.number)) {
      const work = openWorkFrom(job, assets, firstNumber + works.length, now, sector, out);
      if (work.out.length > 0) out.add(work.work.assetId);
      works.push({ ...work, sector });
    }
  }
  return works;
}

function assetMap(sector: Sector, now: Instant): ReadonlyMap<string, Asset> {
  return new Map(assetsOf(sector, addMinutes(now, -26 * 60)).map(({ key, asset }) => [key, asset]));
}
