import { addMinutes, money, parseInstant } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/people';
import type { EntryContent } from '@oilcan/core/work';
import {
  anAsset,
  ann,
  aPart,
  aPoint,
  aBin,
  aLevel,
  aStep,
  aWorkOrder,
  bob,
  binId,
  lea,
  noon,
  partId,
  pointId,
  someSettings,
  anEntry,
  aUse,
} from '@oilcan/core/testing';
import { typed } from '../ui/keypad';
import { dayPalette, nightPalette } from '../ui/palette';
import { sayDue, sayMoment } from '../words/dates';
import { placesFor } from './page/places';
import { entryWords } from './record/entry-words';
import { isShort, kitLines } from '../data/stock';
import { readNumber } from '../words/read-number';
import { readTime } from './labor/time-sheet';
import { firstReason, shiftHeadline, shiftSections, type ShiftRows } from './shift/shift-list';
import { findParts } from './stock/find-parts';

const zone = 'Europe/Vienna';
const later = (minutes: number) => addMinutes(noon, minutes);

describe('the Shift list', () => {
  const rowsWith = (...works: Parameters<typeof aWorkOrder>[0][]): ShiftRows => ({
    workOrders: works.map((work) => aWorkOrder(work)),
    assets: new Map([[anAsset().id, anAsset({ condition: 'stopped' })]]),
    places: new Map(),
    crews: new Map(),
    parts: new Map([[partId, aPart()]]),
  });
  const sectionsOf = (rows: ShiftRows, person: Person = ann, find = '') =>
    shiftSections(rows, person, noon, someSettings(), find);

  it('shows mine in groups by when, and a lead everybody’s', () => {
    const rows = rowsWith(
      { number: 'W-1', dueAt: later(-60) },
      { number: 'W-2', personIds: [bob.id] },
      { number: 'W-3', state: 'finished' },
      { number: 'W-4', state: 'dropped' },
    );
    expect(sectionsOf(rows).map(({ group, data }) => [group, data.map(({ number }) => number)])).toEqual([
      ['shift', ['W-1']],
      ['done', ['W-3']],
    ]);
    expect(sectionsOf(rows, lea).flatMap(({ data }) => data)).toHaveLength(3);
  });

  it('finds by words of the job or the machine, in any order', () => {
    const rows = rowsWith({ title: 'Seal weeping' }, { title: 'Tyre flat' });
    expect(sectionsOf(rows, ann, 'gearbox SEAL')[0]?.data).toHaveLength(1);
    expect(sectionsOf(rows, ann, 'seal tyre')).toEqual([]);
    const withKit = rowsWith(
      { title: 'Tyre flat', kit: [{ partId, binId, quantity: 1_000, unit: null }] },
      { title: 'Tyre worn' },
    );
    expect(sectionsOf(withKit, ann, 'SEAL-70').flatMap(({ data }) => data)).toHaveLength(1);
  });

  it('says how much there is and what comes first, and why', () => {
    const rows = rowsWith(
      { number: 'W-1', dueAt: later(-60 * 24), estimateMinutes: 210 },
      { number: 'W-2', estimateMinutes: 90 },
    );
    const sections = sectionsOf(rows);
    expect(shiftHeadline(sections, ann, someSettings())).toBe('2 jobs, 5\u00a0h of your 8\u00a0h');
    expect(firstReason(sections, rows.assets, noon, someSettings())).toBe(
      'Start with W-1: it is 1 day late and Gearbox stands still.',
    );
    expect(shiftHeadline(sections, ann, someSettings({ shiftMinutes: 240 }))).toBe(
      '2 jobs, 5\u00a0h: more than your 4\u00a0h',
    );
    expect(shiftHeadline(sections, lea, someSettings())).toBe('2 jobs, 5\u00a0h for everybody');
    expect(shiftHeadline([], ann, someSettings())).toBe('Nothing due this shift');
    expect(firstReason([], rows.assets, noon, someSettings())).toBeNull();
  });
});

describe('typed time', () => {
  const read = (typedTime: Partial<Record<'duration' | 'start' | 'end', string>>) =>
    readTime({ duration: '', start: '', end: '', ...typedTime }, noon, zone);

  it.each([
    [{ duration: '1:30' }, '09:30', 90],
    [{ duration: '1.5', start: '8:00' }, '07:00', 90],
    [{ duration: '90m', end: '11:00' }, '08:30', 90],
    [{ start: '08:00', end: '12:00' }, '07:00', 240],
    [{ start: '22:00', end: '06:00' }, '21:00', 480],
    [{ start: '10.30' }, '09:30', 90],
  ])('%j', (given, startedAt, minutes) => {
    expect(read(given)).toMatchObject({ ok: true, startedAt: expect.stringContaining(`T${startedAt}`), minutes });
  });

  it.each([
    [{}, 'duration'],
    [{ duration: 'long' }, 'duration'],
    [{ duration: '1', end: '25:00' }, 'end'],
    [{ duration: '1', start: 'early' }, 'start'],
  ])('%j is wrong at its field', (given, field) => {
    expect(read(given)).toMatchObject({ ok: false, field });
  });
});

describe('kit', () => {
  it('knows what is planned, used, left and on hand', () => {
    const [line] = kitLines(
      [{ partId, binId, quantity: 3_000, unit: null }],
      [anEntry(aUse(1_000))],
      () => aLevel(500),
      () => aPart(),
    );
    expect(line).toMatchObject({ used: 1_000, left: 2_000, onHand: 500 });
  });

  it('compares in the part’s own unit, and calls nothing short that cannot be compared', () => {
    const lineOf = (quantity: number, unit: string | null, partUnit: string) =>
      kitLines(
        [{ partId, binId, quantity, unit }],
        [],
        () => aLevel(2_000),
        () => aPart({ unit: partUnit }),
      ).map((line) => [line.quantity, line.unit, line.left, isShort(line)])[0];
    expect(lineOf(500_000, 'mL', 'L')).toEqual([500, 'L', 500, false]);
    expect(lineOf(2_500_000, 'mL', 'L')).toEqual([2_500, 'L', 2_500, true]);
    expect(lineOf(500_000, 'mL', 'pcs')).toEqual([500_000, 'mL', null, false]);
  });

  it('finds parts by number first', () => {
    const parts = [
      aPart({ id: '1' as never, number: 'BRG-6204', name: 'Bearing 6204' }),
      aPart({ id: '2' as never, number: 'X-1', name: 'Puller for BRG' }),
    ];
    expect(findParts(parts, 'brg').map(({ number }) => number)).toEqual(['BRG-6204', 'X-1']);
    expect(findParts(parts, ' ')).toEqual([]);
  });
});

describe('numbers on the keypad', () => {
  it('are typed key by key', () => {
    expect(['7', '3', '.', '.', '5', 'erase', '4', '±'].reduce(typed, '')).toBe('-73.4');
    expect(typed('123456789012', '3')).toBe('123456789012');
  });

  it.each([
    ['', null],
    ['-', null],
    ['.', null],
    ['7.', 7],
    ['.5', 0.5],
    ['-3.2', -3.2],
  ])('%j is %p', (text, value) => {
    expect(readNumber(text)).toBe(value);
  });
});

describe('dates as people say them', () => {
  const moment = (text: string) => sayMoment(parseInstant(text), noon, zone, 'en');
  it.each([
    ['2026-11-23T14:20:00+01:00', '14:20'],
    ['2026-11-22T14:20:00+01:00', 'yesterday 14:20'],
    ['2026-11-24T08:00:00+01:00', 'tomorrow 08:00'],
    ['2026-11-26T14:20:00+01:00', 'Thu 14:20'],
    ['2026-10-21T14:20:00+02:00', '21 Oct'],
    ['2025-10-21T14:20:00+02:00', '21 Oct 2025'],
  ])('%s is %s', (text, words) => {
    expect(moment(text)).toBe(words);
  });

  it.each([
    [30, 'today 12:30'],
    [-30, '30 min late'],
    [-180, '3 h late'],
    [-60 * 24, '1 day late'],
    [-60 * 24 * 3, '3 days late'],
  ])('due in %d minutes is %s', (minutes, words) => {
    expect(sayDue(later(minutes), noon, zone, 'en')).toBe(words);
  });
});

describe('entries in words', () => {
  const names = {
    person: () => ann,
    part: () => aPart(),
    bin: () => aBin(),
    point: () => aPoint(),
    step: () => aStep(3, { type: 'verdict' }),
    isolationPoint: () => 'Main switch',
  };
  const words = (content: EntryContent) => Object.values(entryWords(anEntry(content), names, 'en'));
  it.each<[EntryContent, string, string]>([
    [
      {
        kind: 'labor',
        personId: ann.id,
        startedAt: noon,
        minutes: 90,
        timeType: 'regular',
        rate: null,
        cost: money(8_100, 'EUR'),
      },
      '1\u00a0h\u00a030 of work',
      'Regular · €81.00',
    ],
    [
      { kind: 'part', partId, binId, quantity: 2_000, unitPrice: money(3_820, 'EUR'), cost: money(7_640, 'EUR') },
      '2 pcs Seal',
      'SEAL-70, bin C-04 · €76.40',
    ],
    [{ kind: 'reading', pointId, value: 76, level: 'alert' }, 'Oil temperature 76 °C', 'Beyond alert'],
    [
      { kind: 'answer', stepId: aStep(3).id, answer: { type: 'verdict', outcome: 'faulty' } },
      'Step 3',
      'Step 3, Faulty',
    ],
    [{ kind: 'answer', stepId: aStep(3).id, answer: null }, 'Step 3', 'Step 3, undone'],
    [{ kind: 'state', from: 'underway', to: 'held', reason: 'part' }, 'Held', 'Waiting for a part'],
    [{ kind: 'withdrawal', reason: 'twice' }, 'Taken back', 'twice'],
  ])('%j', (content, headline, detail) => {
    expect(words(content)).toEqual([headline, detail]);
  });
});

describe('places', () => {
  it('are those the person has', () => {
    expect(placesFor(ann).map(({ word }) => word)).toEqual(['Shift', 'Plant', 'Stores']);
    expect(placesFor(lea).map(({ word }) => word)).toEqual(['Shift', 'Plant', 'Stores', 'Desk']);
  });
});

// WCAG 2.2, relative luminance and contrast ratio; 7:1 is success criterion 1.4.6, 4.5:1 is 1.4.3.
describe('contrast', () => {
  const luminance = (hex: string): number => {
    const [r, g, b] = [1, 3, 5]
      .map((start) => Number.parseInt(hex.slice(start, start + 2), 16) / 255)
      .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
    return 0.2126 * (r ?? 0) + 0.7152 * (g ?? 0) + 0.0722 * (b ?? 0);
  };
  const contrast = (a: string, b: string): number => {
    const [high, low] = [luminance(a), luminance(b)].sort((x, y) => y - x);
    return ((high ?? 0) + 0.05) / ((low ?? 0) + 0.05);
  };

  it.each([
    ['day', dayPalette],
    ['night', nightPalette],
  ] as const)('is kept by %s', (_, palette) => {
    for (const ground of [palette.paper, palette.card, palette.chosen]) {
      expect(contrast(palette.ink, ground)).toBeGreaterThanOrEqual(7);
      for (const color of [palette.inkSoft, palette.green, palette.ok, palette.fixed, palette.faulty])
        expect(contrast(color, ground)).toBeGreaterThanOrEqual(4.5);
      expect(contrast(palette.edge, palette.card)).toBeGreaterThanOrEqual(3);
    }
    expect(contrast(palette.onGreen, palette.green)).toBeGreaterThanOrEqual(7);
    expect(contrast(palette.onBrass, palette.brass)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(palette.ink, palette.scale)).toBeGreaterThanOrEqual(7);
  });
});
