import fc from 'fast-check';
import { asId, type EntryId, type PersonId } from '../../../kernel/ids';
import { money } from '../../../kernel/money/money';
import { ann, aStep, anEntry, aWorkOrder, binId, bob, noon, partId, someSettings } from '../../../testing/builders';
import { addMinutes } from '../../../kernel/time/instant';
import { clockMinutes } from '../../recording/labor/clock';
import { costOf } from '../../../registry/entries';
import { laborCost } from '../../recording/labor/labor';
import { partCost } from '../../stores/stock/part-cost';
import { inTimeOrder, currentEntries, currentOf, type Entry, type EntryContent } from './entries';
import { demandsOf } from '../../finishing/lifecycle/demands-of';
import { owedBefore } from '../../finishing/lifecycle/owed';
import { canChange, isOpen, transitions, type Transition } from './states';
import { workStates } from './work-order';

const entry = (id: string, content: EntryContent, given: Partial<Entry> = {}): Entry =>
  anEntry(content, { id: asId<EntryId>(id), ...given });

const labor = (minutes: number): EntryContent => ({
  kind: 'labor',
  personId: ann.id,
  startedAt: noon,
  minutes,
  timeType: 'regular',
  rate: null,
  cost: money(minutes * 100, 'EUR'),
});

describe('states', () => {
  it('allows exactly what the table of transitions says', () => {
    const allowed = (Object.keys(transitions) as Transition[]).flatMap((transition) =>
      workStates
        .filter((state) => canChange(state, transition))
        .map((state) => `${state} ${transition} ${transitions[transition].to}`),
    );
    expect(allowed).toEqual([
      'ready start underway',
      'underway hold held',
      'held resume underway',
      'underway finish finished',
      'held finish finished',
      'finished accept accepted',
      'finished handBack underway',
      'ready drop dropped',
      'underway drop dropped',
      'held drop dropped',
    ]);
  });

  it('has no way out of accepted and dropped', () => {
    for (const rule of Object.values(transitions)) {
      expect(rule.from).not.toContain('accepted');
      expect(rule.from).not.toContain('dropped');
    }
  });

  it('takes records while open only', () => {
    expect(workStates.filter(isOpen)).toEqual(['ready', 'underway', 'held']);
  });
});

describe('entries', () => {
  const first = entry('1', labor(60));
  const amendment = entry('2', labor(90), { amends: first.id });
  const withdrawal = entry('3', { kind: 'withdrawal', reason: 'twice' }, { amends: amendment.id });

  it('stand until another entry amends them', () => {
    expect(currentEntries([first, amendment])).toEqual([amendment]);
    expect(currentEntries([first, amendment, withdrawal])).toEqual([]);
  });

  it('stand alike in whatever order they arrive', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([first, amendment, withdrawal], { minLength: 3 }), (shuffled) => {
        expect(currentEntries(shuffled)).toEqual([]);
      }),
    );
  });

  it('are shown newest first, and by id when they came at one moment', () => {
    const later = entry('0', labor(5), { at: addMinutes(noon, 1) });
    expect(inTimeOrder([first, later, amendment]).map(({ id }) => id)).toEqual(['0', '2', '1']);
  });

  it('are told apart by kind', () => {
    const note = entry('4', { kind: 'note', text: 'grease was black' });
    expect(currentOf([first, note], 'note')).toEqual([note]);
  });
});

describe('cost', () => {
  const rate = { minorPerHour: 6_000, overtimePercent: 150, currency: 'EUR' };
  const part = (minor: number, currency = 'EUR', id = '5') =>
    entry(id, {
      kind: 'part',
      partId,
      binId,
      quantity: 1_000,
      unitPrice: { minor, currency },
      cost: money(minor, currency),
    });

  it('is time at the rate of the trade, overtime more', () => {
    expect(laborCost(90, 'regular', rate).minor).toBe(9_000);
    expect(laborCost(90, 'overtime', rate).minor).toBe(13_500);
    expect(laborCost(1, 'travel', rate).minor).toBe(100);
  });

  it('takes rates and percents that are fractions, and rounds once', () => {
    // 53.75 × 1.5 h × 137.5 % = 110.859375.
    expect(laborCost(90, 'overtime', { ...rate, minorPerHour: 5_375, overtimePercent: 137.5 }).minor).toBe(11_086);
    expect(laborCost(60, 'regular', { ...rate, minorPerHour: 0.1 + 0.2 }).minor).toBe(0);
    expect(laborCost(600, 'regular', { ...rate, minorPerHour: 0.25 }).minor).toBe(3);
  });

  it('is amounts of parts at their price, which may be a fraction too', () => {
    expect(partCost(2_000, { minor: 3_820, currency: 'EUR' }).minor).toBe(7_640);
    expect(partCost(333, { minor: 100, currency: 'EUR' }).minor).toBe(33);
    expect(partCost(100_000, { minor: 12.5, currency: 'EUR' }).minor).toBe(1_250);
  });

  it('adds up what stands', () => {
    const entries = [entry('1', labor(60)), entry('2', labor(90), { amends: asId<EntryId>('1') }), part(3_820)];
    expect(costOf(entries)).toEqual({
      laborMinutes: 90,
      groups: { time: [money(9_000, 'EUR')], material: [money(3_820, 'EUR')], boughtIn: [], other: [] },
      total: [money(12_820, 'EUR')],
    });
  });

  it('of two currencies is two sums', () => {
    expect(costOf([entry('1', labor(60)), part(500, 'CHF'), part(250, 'CHF', '6')]).total).toEqual([
      money(6_000, 'EUR'),
      money(750, 'CHF'),
    ]);
  });

  it('says nothing of time whose cost one may not see, and still its hours', () => {
    const hidden = entry('1', { ...labor(60), cost: null } as EntryContent);
    expect(costOf([hidden, part(500)])).toMatchObject({
      laborMinutes: 60,
      groups: { time: null },
      total: [money(500, 'EUR')],
    });
  });
});

describe('what is owed', () => {
  const rules = demandsOf(someSettings(), aWorkOrder());
  const clockOf = (id: PersonId) => ({
    id,
    siteId: aWorkOrder().siteId,
    workOrderId: aWorkOrder().id,
    startedAt: noon,
  });
  const nothing = { work: aWorkOrder(), steps: [], entries: [], clocks: [], shares: [], points: [] };
  const answered = aStep(
    2,
    { type: 'tick' },
    { answer: { value: { type: 'tick' }, at: noon, by: ann.id, entryId: asId<EntryId>('e') } },
  );

  it('lists open steps in their order, then the time', () => {
    expect(
      owedBefore(ann.id, { ...nothing, steps: [aStep(3), answered, aStep(1)] }, rules).map((owed) =>
        'text' in owed ? owed.text : owed.what,
      ),
    ).toEqual(['Step 1', 'Step 3', 'time']);
  });

  it('counts the own running clock as time, and asks for a mate’s to be stopped', () => {
    expect(owedBefore(ann.id, { ...nothing, clocks: [clockOf(ann.id)] }, rules)).toEqual([]);
    expect(
      owedBefore(ann.id, { ...nothing, entries: [entry('1', labor(5))], clocks: [clockOf(bob.id)] }, rules),
    ).toEqual([{ what: 'clockOfAnother', personId: bob.id, demand: 'must' }]);
  });

  it('is nothing where the rules ask for nothing', () => {
    expect(
      owedBefore(ann.id, { ...nothing, steps: [aStep(1)] }, demandsOf(someSettings(), { kind: 'improvement' })),
    ).toEqual([]);
  });
});

describe('a clock', () => {
  it('counts whole minutes, and what ran at all as one', () => {
    expect(clockMinutes(noon, noon)).toBe(1);
    expect(clockMinutes(noon, addMinutes(noon, 0.4))).toBe(1);
    expect(clockMinutes(noon, addMinutes(noon, 89.6))).toBe(90);
  });
});
