import { documentTypeOf } from '@oilcan/core/plant/documents';
import { asId, parseInstant, type AssetId, startOfDay, type WorkOrderId } from '@oilcan/core/kernel';
import { chiSquareQuantile, findingsOf, summarise } from '@oilcan/core/past/past';
import { permitStanding } from '@oilcan/core/plant/permits';
import { contactsOf } from '@oilcan/core/plant/plant';
import type { TableName, Tables } from '@oilcan/core/records';
import { entryKinds, tableNames } from '@oilcan/core/registry';
import { onHandAfter, type Movement, type StockLevel } from '@oilcan/core/stores/stock';
import { pointOf } from '@oilcan/core/steps/steps';
import { currentOf, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { PDFDocument } from 'pdf-lib';
import { makeDocuments } from './documents/documents';
import { generateDemo } from './generate';
import type { Line } from './line';
import { partIdOf } from './mountain/stores';
import { PAST_DAYS, pastEvents } from './past/past';
import { assetsOf, sectorOf } from './mountain/mountain';
import { failureDays } from './past/failure-times';
import { failureProcesses } from './past/processes';
import { openJobsOf, dueAt } from './open/open-work';
import { randomFor } from './random';

const now = parseInstant('2026-11-23T11:00:00Z');
const lines = [...generateDemo({ now, scale: 1, password: 'x', documents: [] })];
const rowsOf = <T extends TableName>(table: T): Tables[T][] =>
  lines.flatMap((line: Line) => ('table' in line && line.table === table ? [line.row as Tables[T]] : []));
const workOrders: WorkOrder[] = rowsOf('workOrders');
const entries: Entry[] = rowsOf('entries');

describe('the demo', () => {
  it('is the same for the same day, and another for another size', () => {
    expect([...generateDemo({ now, scale: 1, password: 'x', documents: [] })]).toEqual(lines);
    const twice = [...generateDemo({ now, scale: 2, password: 'x', documents: [] })];
    expect(twice.filter((line) => 'table' in line && line.table === 'assets')).toHaveLength(
      2 * rowsOf('assets').length,
    );
  });

  it('has the size that is asked of it', () => {
    expect(rowsOf('assets').length).toBeGreaterThanOrEqual(55);
    expect(rowsOf('parts')).toHaveLength(200);
    expect(rowsOf('stores')).toHaveLength(2);
    expect(rowsOf('people')).toHaveLength(6);
    expect(workOrders.filter((work) => work.finishedAt === null)).toHaveLength(41);
    expect(Math.abs(workOrders.filter((work) => work.finishedAt !== null).length - 1_500)).toBeLessThan(250);
  });

  it('names no row twice and points at nothing that is missing', () => {
    for (const table of tableNames) {
      const ids = rowsOf(table).map((row) => row.id);
      expect(new Set(ids).size).toBe(ids.length);
    }
    const assets = new Set(rowsOf('assets').map((asset) => asset.id));
    const parts = new Set(rowsOf('parts').map((part) => part.id));
    const points = new Set(rowsOf('points').map((point) => point.id));
    for (const work of workOrders) {
      expect(assets).toContain(work.assetId);
      for (const { partId } of work.kit) expect(parts).toContain(partId);
    }
    for (const { partId, assetId } of rowsOf('installations')) {
      expect(parts).toContain(partId);
      expect(assets).toContain(assetId);
    }
    for (const { assetId } of rowsOf('codes')) expect(assets).toContain(assetId);
    for (const { question } of rowsOf('steps'))
      if (pointOf(question) !== null) expect(points).toContain(pointOf(question));
    for (const { content } of entries) if (content.kind === 'reading') expect(points).toContain(content.pointId);
  });

  it('has a stock that is the sum of its movements, and nowhere below zero on the way', () => {
    const movements = new Map<string, Movement[]>();
    for (const movement of rowsOf('movements')) {
      const key = `${movement.partId}@${movement.binId}`;
      movements.set(key, [...(movements.get(key) ?? []), movement]);
    }
    for (const level of rowsOf('stock') satisfies StockLevel[]) {
      const ofLevel = movements.get(level.id) ?? [];
      expect(onHandAfter(ofLevel)).toBe(level.onHand);
      ofLevel.reduce((sum, { change }) => {
        expect(sum + change).toBeGreaterThanOrEqual(0);
        return sum + change;
      }, 0);
    }
  });

  it('lies in the past, every finished job with its time', () => {
    const byWork = new Map<string, Entry[]>();
    for (const entry of entries) byWork.set(entry.workOrderId, [...(byWork.get(entry.workOrderId) ?? []), entry]);
    for (const work of workOrders.filter((each) => each.finishedAt !== null)) {
      expect(currentOf(byWork.get(work.id) ?? [], 'labor').length).toBeGreaterThan(0);
    }
    for (const entry of entries) expect(entry.at < now).toBe(true);
  });

  it('is written as people write: no sentence comes again and again', () => {
    const counts = new Map<string, number>();
    for (const { content } of entries)
      if (content.kind === 'note') counts.set(content.text, (counts.get(content.text) ?? 0) + 1);
    expect(counts.size).toBeGreaterThan(500);
    expect(Math.max(...counts.values())).toBeLessThan(25);
  });

  it('has permits that hold, that are over and that are missing, and contacts for every machine', () => {
    const permits = rowsOf('permits');
    expect(new Set(permits.map((permit) => permitStanding(permit, now)))).toEqual(
      new Set(['valid', 'over', 'missing']),
    );
    const contacts = rowsOf('contacts');
    const assets = new Map(rowsOf('assets').map((asset) => [asset.id, asset]));
    for (const asset of assets.values()) {
      const rows = { contacts, assetOf: (id: AssetId) => assets.get(id), placeOf: () => undefined };
      expect(contactsOf(asset, rows).length).toBeGreaterThan(0);
    }
  });

  it('reads the same at any hour at which it is made', () => {
    const jobs = [...openJobsOf(1)].filter(({ due }) => due?.[0] === 0);
    expect(jobs.length).toBeGreaterThan(5);
    for (const time of ['00:10', '05:00', '08:00', '13:30', '18:40', '22:00', '23:50']) {
      const made = parseInstant(`2026-11-23T${time}:00+01:00`);
      const midnight = startOfDay(made, 'Europe/Vienna', 1);
      const dues = jobs.map(({ due }) => ({ hour: due?.[1] ?? 0, at: dueAt(made, 0, due?.[1] ?? 0) }));
      for (const { at } of dues) expect([time, at >= made && at < midnight]).toEqual([time, true]);
      const byHour = [...dues].sort((a, b) => a.hour - b.hour).map(({ at }) => at);
      expect(byHour).toEqual([...byHour].sort());
    }
  });

  it('gives the lead something to do for everybody', () => {
    for (const person of rowsOf('people').filter(({ roles }) => roles.includes('technician'))) {
      expect(workOrders.some((work) => work.finishedAt === null && work.personIds.includes(person.id))).toBe(true);
    }
  });
});

describe('the documents of the demo', () => {
  it('are real ones, the same each time, and belong to machines that are there', async () => {
    const documents = await makeDocuments();
    expect(documents.map(({ fileId }) => fileId)).toEqual((await makeDocuments()).map(({ fileId }) => fileId));
    for (const { content, mediaType } of documents) expect(documentTypeOf(content, null)).toBe(mediaType);
    const listed = [...generateDemo({ now, scale: 1, password: 'x', documents })].filter(
      (line) => 'table' in line && line.table === 'documents',
    );
    expect(listed).toHaveLength(documents.flatMap(({ assets }) => assets).length);
    const manual = await PDFDocument.load(documents[0]?.content ?? new Uint8Array());
    expect(manual.getPageCount()).toBe(10);
  });
});

describe('failure processes', () => {
  // Weibull distribution: mean gap = scale × Γ(1 + 1/shape); Γ(1.5) = √π / 2. Power-law process (MIL-HDBK-189): expected count (T/scale)^shape.
  it('fail as often as their parameters say', () => {
    const many = (course: Parameters<typeof failureDays>[0]): number => {
      const counts = Array.from(
        { length: 400 },
        (_, index) => failureDays(course, 3_000, randomFor(`trial ${index}`)).length,
      );
      return counts.reduce((sum, count) => sum + count, 0) / counts.length;
    };
    expect(many({ type: 'renewal', shape: 1, scaleDays: 30 })).toBeCloseTo(100, -1);
    expect(many({ type: 'renewal', shape: 2, scaleDays: 30 })).toBeCloseTo(3_000 / (30 * (Math.sqrt(Math.PI) / 2)), -1);
    expect(many({ type: 'power-law', shape: 2, scaleDays: 300 })).toBeCloseTo(100, -1);
    expect(many({ type: 'cured', meanGapDays: 30, curedOnDay: 900 })).toBeCloseTo(30, -1);
  });

  it('of the demo: one gets worse, one is repaired for good, several wear out', () => {
    const types = failureProcesses.map(({ course }) => course);
    expect(types.filter(({ type }) => type === 'power-law')).toHaveLength(1);
    expect(types.filter(({ type }) => type === 'cured')).toHaveLength(1);
    expect(types.filter((course) => course.type === 'renewal' && course.shape > 1.5).length).toBeGreaterThan(5);
    expect(PAST_DAYS).toBe(1_095);
  });
});

describe('what the past of the demo says', () => {
  const byWork = new Map<string, Entry[]>();
  for (const entry of entries) byWork.set(entry.workOrderId, [...(byWork.get(entry.workOrderId) ?? []), entry]);
  const jobs = workOrders
    .filter((work) => work.finishedAt !== null)
    .map((work) => summarise(entryKinds, work, byWork.get(work.id) ?? []));
  const window = { from: jobs.map(({ at }) => at).sort()[0] ?? now, to: now };
  const findings = (asset: string) =>
    findingsOf(
      jobs.filter(({ assetId }) => assetId === asset),
      window,
    );
  const processOf = (asset: string) => failureProcesses.filter((each) => each.asset === asset);

  it('gets worse where a process was made to, with the shape that was put in', () => {
    const [process] = processOf('lark-gearbox');
    if (process?.course.type !== 'power-law') throw new Error('The gearbox is meant to get worse.');
    const { failures } = findings('lark-gearbox');
    if (failures?.trend.is !== 'faster') throw new Error(`The trend is ${failures?.trend.is}.`);
    // 2Nβ/β̂ is χ² with 2N degrees of freedom (MIL-HDBK-189): the shape put in lies in the 90 % interval.
    const degrees = 2 * failures.jobs.length;
    const { shape } = process.course;
    expect((degrees * shape) / failures.trend.beta).toBeGreaterThan(chiSquareQuantile(0.05, degrees));
    expect((degrees * shape) / failures.trend.beta).toBeLessThan(chiSquareQuantile(0.95, degrees));
  });

  it('tells of what comes back because it wears out, and of nothing that fails by chance', () => {
    const assets = [...new Set(failureProcesses.map(({ asset }) => asset))];
    const told = assets.filter((asset) => findings(asset).recurrences.length > 0);
    expect(told).toContain('lark-conveyor-base');
    for (const asset of told) {
      const wearsOut = processOf(asset).some(({ course }) => course.type !== 'renewal' || course.shape > 1.5);
      expect([asset, wearsOut]).toEqual([asset, true]);
    }
  });

  it('is quiet since the day on which something was repaired for good, and nowhere else', () => {
    const [process] = processOf('lark-t3');
    if (process?.course.type !== 'cured') throw new Error('Tower 3 is meant to be cured.');
    const { silences, failures } = findings('lark-t3');
    expect(silences.map(({ what }) => what)).toEqual([
      { by: 'mode', mode: process.mode, component: process.component },
    ]);
    expect(silences[0]?.quietDays).toBeGreaterThan(PAST_DAYS - process.course.curedOnDay);
    expect(failures?.trend.is).toBe('slower');
    const assets = [...new Set(failureProcesses.map(({ asset }) => asset))];
    expect(assets.filter((asset) => findings(asset).silences.length > 0)).toEqual(['lark-t3']);
  });

  it('counts as failures exactly what the generator made fail, whatever else was raised since', () => {
    const sector = sectorOf(1);
    const assets = new Map(assetsOf(sector, now).map(({ key, asset }) => [key, asset]));
    const made = pastEvents(sector, assets, now).filter((event) => 'failure' in event);
    for (const asset of new Set(failureProcesses.map((process) => process.asset))) {
      const truth = made.filter((event) => event.asset.id === asset).length;
      const ofAsset = jobs.filter(({ assetId }) => assetId === asset);
      const [one] = ofAsset;
      if (one === undefined) throw new Error(`${asset} has no past.`);
      const painting = { ...one, id: asId<WorkOrderId>('painting'), kind: 'corrective', saidNone: ['fault'] } as const;
      const raised = {
        ...one,
        id: asId<WorkOrderId>('raised'),
        kind: 'corrective',
        state: 'ready',
        faults: [],
        stoppages: [],
      } as const;
      expect([asset, findingsOf([...ofAsset, painting, raised], window).failures?.jobs.length]).toEqual([asset, truth]);
    }
  });

  it('has the mean gap that was put in within its interval, for about nine in ten of what fails by pure chance', () => {
    const byChance = [...new Set(failureProcesses.map(({ asset }) => asset))].filter((asset) =>
      processOf(asset).every(({ course }) => course.type === 'renewal' && course.shape === 1),
    );
    const held = byChance.filter((asset) => {
      const rate = processOf(asset).reduce(
        (sum, { course }) => sum + (course.type === 'renewal' ? 1 / course.scaleDays : 0),
        0,
      );
      const { low, high } = findings(asset).failures?.meanDays ?? { low: 0, high: 0 };
      return low <= 1 / rate && 1 / rate <= high;
    });
    expect(byChance.length).toBeGreaterThan(25);
    expect(held.length / byChance.length).toBeGreaterThan(0.8);
  });

  it('has the usual duration and parts that were put in', () => {
    for (const asset of ['lark-cabins', 'lark-conveyor-base', 'juniper-chairs']) {
      const [process] = processOf(asset);
      const { repair, failures } = findings(asset);
      const count = failures?.jobs.length ?? 0;
      // The median of a log-normal sample scatters by about 1.25 σ/√n of its logarithm; three times that is far.
      const far = (3 * 1.25 * (process?.repair.logSpread ?? 0)) / Math.sqrt(count);
      expect(Math.abs(Math.log((repair?.median ?? 0) / (process?.repair.medianMinutes ?? 1)))).toBeLessThan(far);
      for (const [part, , probability] of process?.parts ?? []) {
        const took = failures?.jobs.filter(({ parts }) => parts.some(({ partId }) => partId === partIdOf(part))) ?? [];
        const share = took.length / count;
        expect(Math.abs(share - probability)).toBeLessThan(3 * Math.sqrt((probability * (1 - probability)) / count));
      }
    }
  });
});
