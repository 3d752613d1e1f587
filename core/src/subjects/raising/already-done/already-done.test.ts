import fc from 'fast-check';
import { asId, type AssetId, type WorkOrderId } from '../../../kernel/ids';
import { minutesBetween, parseInstant, type Instant } from '../../../kernel/time/instant';
import { inZone } from '../../../kernel/time/zone';
import { anAsset, aWorkOrder } from '../../../testing/builders';
import { faultChoices } from '../../recording/faults/find-faults';
import type { WorkState } from '../../orders/work/work-order';
import { likelyFault } from './likely-fault';
import { openWorkLike } from './open-like';
import { readDone } from './read-done';

const zone = 'Europe/Vienna';
/** A quarter to one, on the clock there. */
const now = parseInstant('2026-11-23T11:45:00Z');
const machine = (id: string, name: string, tag: string) => anAsset({ id: asId<AssetId>(id), name, tag });
const assets = [
  machine('pump-1', 'Pump 1', 'SNW-P1'),
  machine('pump-2', 'Pump 2', 'SNW-P2'),
  machine('conveyor', 'Lark tyre conveyor, base', 'LRK-F1'),
  machine('gun', 'Snow gun 14', 'SNW-N14'),
  machine('gearbox', 'Lark drive gearbox', 'LRK-G1'),
];
const read = (line: string, at: Instant = now) => readDone(line, { assets, now: at, zone });
const clock = (at: Instant | undefined): string | undefined =>
  at === undefined ? undefined : inZone(at, zone).toFormat('HH:mm');
const said = (line: string, at: Instant = now) => {
  const { machines, title, times, stoppage, phrases, activity } = read(line, at);
  const [time] = times;
  return {
    machine: machines[0]?.asset.id,
    title,
    time: time === undefined ? null : `${clock(time.from)}-${clock(time.to)}`,
    stood: stoppage === null ? null : `${clock(stoppage.from)}-${clock(stoppage.to)} ${stoppage.extent}`,
    phrases: phrases.map(({ is }) => is),
    activity,
  };
};

describe('a line about work that is already done', () => {
  it('says machine, what was done, time, parts and standstill', () => {
    expect(said('pump 2: packing replaced, 2 h just now, 1x pack-12, stood still since nine')).toEqual({
      machine: 'pump-2',
      title: 'Packing replaced',
      time: '10:45-12:45',
      stood: '09:00-12:45 full',
      phrases: ['part'],
      activity: 1,
    });
  });

  it.each([
    ['SNW-P2: packing replaced; 2h; 1x pack-12; stopped 3h', 'pump-2', '10:45-12:45', '09:45-12:45 full'],
    [
      'pump 2, packing replaced, from 9 to 10:30, stood still from 8:30 till 11',
      'pump-2',
      '09:00-10:30',
      '08:30-11:00 full',
    ],
    ['two hours, cleaned snow gun 14', 'gun', '10:45-12:45', null],
    [
      'tyre conveyor: belt adjusted, 45 minutes until 11:30, ran reduced since half past ten',
      'conveyor',
      '10:45-11:30',
      '10:30-12:45 reduced',
    ],
    ['gearbox: oil topped up, half an hour', 'gearbox', '12:15-12:45', null],
    ['gearbox: checked, 1:30', 'gearbox', '11:15-12:45', null],
    ['gearbox: checked, 10:00-11:15', 'gearbox', '10:00-11:15', null],
    ['pump 1: valve cleaned, 1.5 hours, it stood for 2 hours', 'pump-1', '11:15-12:45', '10:45-12:45 full'],
    ['gearbox: quarter of an hour, looked at the seal', 'gearbox', '12:30-12:45', null],
  ])('%s', (line, id, time, stood) => {
    expect(said(line)).toMatchObject({ machine: id, time, stood });
  });

  it('keeps every word that it does not understand, as what was done', () => {
    expect(said('pump 2: packing was rotten, shaft looks good')).toMatchObject({
      title: 'Packing was rotten, shaft looks good',
      time: null,
      stood: null,
    });
  });

  it('has shorthand within it', () => {
    expect(said('gearbox: seal changed, 1h, fault leak, note grease was black, no stoppage').phrases).toEqual([
      'fault',
      'note',
      'none',
    ]);
  });

  it('names no machine where its words fit none', () => {
    expect(said('something was repaired, 1h').machine).toBeUndefined();
    expect(said('').machine).toBeUndefined();
  });

  it('counts times of the evening back from the evening', () => {
    const evening = parseInstant('2026-11-23T21:00:00Z');
    expect(said('pump 2: fixed, 1 h, stood still since nine', evening).stood).toBe('21:00-22:00 full');
    expect(said('pump 2: fixed, 1 h, stood still since 9:00', evening).stood).toBe('09:00-22:00 full');
  });

  // IANA time zone database, Europe/Vienna: on 2026-03-29 the clock goes from 02:00 to 03:00.
  it('counts over a change of the clock as it passed', () => {
    const morning = parseInstant('2026-03-29T02:00:00Z');
    const { stoppage } = read('pump 2: fixed, stood still since 1:30', morning);
    expect(stoppage === null ? null : minutesBetween(stoppage.from, stoppage.to)).toBe(90);
  });

  it('never fails, and has no time to come', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.constantFrom(
              'pump 2:',
              '2h',
              'since nine',
              ',',
              ';',
              '1x',
              'stood still',
              '24:99',
              'from 9 to 8',
              'no parts',
            ),
            fc.string({ unit: 'grapheme', maxLength: 12 }),
          ),
          { maxLength: 10 },
        ),
        (pieces) => {
          const { times, stoppage, title } = read(pieces.join(' '));
          for (const stretch of [...times, stoppage]) {
            if (stretch === null) continue;
            expect(stretch.to <= now).toBe(true);
            expect(stretch.from < stretch.to).toBe(true);
          }
          expect(title.length).toBeLessThanOrEqual(200);
        },
      ),
      { numRuns: 400 },
    ));
});

describe('the fault that words name', () => {
  const choices = faultChoices('pump', { pump: { packing: ['ELP', 'STD'], bearing: ['NOI', 'VIB'] } });
  it('is one of the part that they name, of those that the machine had first', () => {
    expect(likelyFault('packing leaked and was replaced', [], choices)).toEqual({ component: 'packing', mode: 'ELP' });
    expect(likelyFault('bearing noisy', [], choices)).toEqual({ component: 'bearing', mode: 'NOI' });
    const usual = [{ component: 'bearing', mode: 'VIB' as const }];
    expect(likelyFault('bearing vibrates', usual, choices)).toEqual(usual[0]);
  });

  it('is none where no word fits, where none says how it failed, and where several fit as well', () => {
    expect(likelyFault('bearing replaced', [{ component: 'bearing', mode: 'VIB' }], choices)).toBeNull();
    const both = faultChoices('pump', { pump: { packing: ['ELP', 'ELU'] } });
    expect(likelyFault('packing leaked', [], both)).toBeNull();
    expect(likelyFault('xyzzy', [], [{ component: 'packing', mode: 'ELP' }])).toBeNull();
  });
});

describe('open work like what was done', () => {
  it('is the open one that shares its words, not another of the machine and not one that is finished', () => {
    const work = (id: string, title: string, state: WorkState) =>
      aWorkOrder({ id: asId<WorkOrderId>(id), title, state });
    const works = [
      work('guard', 'Guard rattles', 'ready'),
      work('packing', 'Replace the packing', 'ready'),
      work('old', 'Packing replaced', 'finished'),
    ];
    expect(openWorkLike('Packing replaced', works)?.id).toBe('packing');
    expect(openWorkLike('Oil topped up', works)).toBeNull();
    expect(openWorkLike('', works)).toBeNull();
  });
});
