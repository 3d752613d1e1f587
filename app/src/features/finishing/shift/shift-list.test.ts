import { addMinutes } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import { anAsset, ann, aWorkOrder, bob, lea, noon, someSettings } from '@oilcan/core/testing';
import { firstReason, shiftHeadline, shiftSections, type ShiftRows } from './shift-list';

const later = (minutes: number) => addMinutes(noon, minutes);

describe('the Shift list', () => {
  const rowsWith = (...works: Parameters<typeof aWorkOrder>[0][]): ShiftRows => ({
    workOrders: works.map((work) => aWorkOrder(work)),
    assets: new Map([[anAsset().id, anAsset({ condition: 'stopped' })]]),
    places: new Map(),
    crews: new Map(),
    shares: [],
  });
  const sectionsOf = (rows: ShiftRows, person: Person = ann) => shiftSections(rows, person, noon, someSettings());

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
      '2 jobs, 5\u00a0h for your 4\u00a0h',
    );
    expect(shiftHeadline(sections, lea, someSettings())).toBe('2 jobs, 5\u00a0h for everybody');
    expect(shiftHeadline([], ann, someSettings())).toBe('Nothing due this shift');
    expect(firstReason([], rows.assets, noon, someSettings())).toBeNull();
  });
});
