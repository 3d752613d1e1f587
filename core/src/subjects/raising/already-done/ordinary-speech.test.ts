import { asId, type AssetId } from '../../../kernel/ids';
import { minutesBetween, parseInstant, type Instant } from '../../../kernel/time/instant';
import { inZone } from '../../../kernel/time/zone';
import { anAsset } from '../../../testing/builders';
import { formatDuration } from '../../../kernel/time/duration';
import { faultChoices } from '../../recording/faults/find-faults';
import { printShorthand } from '../../recording/shorthand/print';
import { likelyFault } from './likely-fault';
import { readDone } from './read-done';

const zone = 'Europe/Vienna';
/** A quarter to one on a Monday, on the clock there. */
const now = parseInstant('2026-11-23T11:45:00Z');
const pump = anAsset({ id: asId<AssetId>('pump-2'), name: 'Pump 2', tag: 'SNW-P2' });
const faults = faultChoices('pump', { pump: { packing: ['ELP'], seal: ['ELU'], bearing: ['NOI', 'OHE'] } });

interface Becomes {
  /** Each of the person's times: `from-to`, and its type if it is not regular. */
  readonly times?: readonly string[];
  readonly stood?: string;
  readonly kind?: string;
  readonly activity?: number | null;
  readonly fault?: string | null;
  readonly detection?: number;
  /** As shorthand. */
  readonly things?: string;
  readonly notUnderstood?: readonly string[];
  readonly title?: string;
}

const clock = (at: Instant): string => {
  const shown = inZone(at, zone);
  return shown.toFormat(shown.hasSame(inZone(now, zone), 'day') ? 'HH:mm' : 'ccc HH:mm');
};

function becomes(line: string): Required<Becomes> {
  const read = readDone(line, { assets: [pump], now, zone });
  const fault = read.kind === 'corrective' ? likelyFault(read.trouble, [], faults) : null;
  const { stoppage } = read;
  return {
    times: read.times.map(
      ({ from, to, timeType }) => `${clock(from)}-${clock(to)}${timeType === 'regular' ? '' : ` ${timeType}`}`,
    ),
    stood: stoppage === null ? '' : `${clock(stoppage.from)}-${clock(stoppage.to)} ${stoppage.extent}`,
    kind: read.kind,
    activity: read.activity,
    fault: fault === null ? null : `${fault.component} ${fault.mode}`.trim(),
    detection: read.detection ?? 0,
    things: printShorthand(read.phrases),
    notUnderstood: read.notUnderstood,
    title: read.title,
  };
}

const table: readonly (readonly [string, Becomes])[] = [
  // How long it took, in every way that people write it.
  ['packing replaced, 1h 30m', { times: ['11:15-12:45'] }],
  ['packing replaced, 1 h 30 min', { times: ['11:15-12:45'] }],
  ['packing replaced, 1 h 30', { times: ['11:15-12:45'] }],
  [`packing replaced, ${formatDuration(90)}`, { times: ['11:15-12:45'] }],
  ['packing replaced, 2 h 15 min', { times: ['10:30-12:45'] }],
  ['packing replaced, 1 hour and 30 minutes', { times: ['11:15-12:45'] }],
  ['packing replaced, an hour and a half', { times: ['11:15-12:45'] }],
  ['packing replaced, took 45 mins', { times: ['12:00-12:45'] }],
  ['packing replaced, 1,5 h', { times: ['11:15-12:45'] }],
  ['packing replaced, 2hrs', { times: ['10:45-12:45'] }],
  ['packing replaced 2 h', { times: ['10:45-12:45'], title: 'Packing replaced' }],
  ['packing replaced 20m', { times: ['12:25-12:45'], title: 'Packing replaced' }],
  ['2 h packing replaced', { times: ['10:45-12:45'], title: 'Packing replaced' }],
  ['20m hose replaced', { times: [], notUnderstood: ['“20m”'], title: '20m hose replaced' }],
  // Several times, each as what it counts.
  ['packing replaced, 2 h, 30 min travel', { times: ['10:15-12:15', '12:15-12:45 travel'] }],
  ['packing replaced, 2 h,30 min travel', { times: ['10:15-12:15', '12:15-12:45 travel'] }],
  ['packing replaced, 1h overtime', { times: ['11:45-12:45 overtime'] }],
  ['packing replaced, 30 min of travel and 1 h', { times: ['11:15-11:45 travel', '11:45-12:45'] }],
  ['packing replaced, 20 min driving, 2h', { times: ['10:25-10:45 travel', '10:45-12:45'] }],
  ['packing replaced; 1h30 overtime; 2h', { times: ['09:15-10:45 overtime', '10:45-12:45'] }],
  // When.
  ['packing replaced, from 8 to 11', { times: ['08:00-11:00'] }],
  ['packing replaced from 9 to 10:30', { times: ['09:00-10:30'], title: 'Packing replaced' }],
  ['packing replaced, 8:15-9:45', { times: ['08:15-09:45'] }],
  ['packing replaced, yesterday from 8 to 11', { times: ['Sun 08:00-Sun 11:00'] }],
  ['packing replaced, from 8 to 11 yesterday', { times: ['Sun 08:00-Sun 11:00'] }],
  ['packing replaced yesterday from 1 to 3', { times: ['Sun 01:00-Sun 03:00'] }],
  ['packing replaced, yesterday from 10 to 2', { times: ['Sun 10:00-Sun 14:00'] }],
  ['packing replaced, 2 h yesterday', { times: [], notUnderstood: ['“yesterday”', '“2\u00a0h” of another day'] }],
  ['packing replaced, yesterday, 2 h', { times: [], notUnderstood: ['“yesterday”', '“2\u00a0h” of another day'] }],
  ['packing replaced yesterday', { times: [], notUnderstood: ['“yesterday”'] }],
  ['packing replaced, 2 h, finished at 11', { times: ['09:00-11:00'] }],
  ['packing replaced, finished at 11, 2 h', { times: ['09:00-11:00'] }],
  ['packing replaced, finished at 11', { times: [], notUnderstood: ['when it ended, without when it began'] }],
  ['packing replaced, 2 h until 11', { times: ['09:00-11:00'] }],
  ['packing replaced, since half past ten', { times: ['10:30-12:45'] }],
  // Who.
  ['packing replaced, two of us, 2 h', { times: ['10:45-12:45'], notUnderstood: ['“two of us”'] }],
  ['packing replaced with Ben, 2 h', { times: ['10:45-12:45'], notUnderstood: ['“with Ben”'] }],
  // It stood.
  ['packing replaced, 1h, stopped 2h 30m', { stood: '10:15-12:45 full' }],
  ['packing replaced, 1h, stood still since nine', { stood: '09:00-12:45 full' }],
  ['packing replaced, 1h, stood still for 2 hours', { stood: '10:45-12:45 full' }],
  ['packing replaced, 1h, downtime was 2 h', { stood: '10:45-12:45 full' }],
  ['packing replaced, 1h, ran reduced 45 min', { stood: '12:00-12:45 reduced' }],
  ['packing replaced, 1h, down 1 h 30 min', { stood: '11:15-12:45 full' }],
  ['packing replaced, 1h, it never stood still', { stood: '' }],
  ['packing replaced, 1h, no stoppage', { stood: '', things: 'no stoppage' }],
  // Parts and readings.
  ['packing replaced, one seal kit', { things: '1x seal kit' }],
  ['packing replaced, 2 filters', { things: '2x filter' }],
  ['packing replaced, used one seal kit', { things: '1x seal kit' }],
  ['packing replaced, 1x pack-12', { things: '1x pack-12' }],
  ['one leak found, 1h', { things: '', title: 'One leak found' }],
  ['2 filters replaced, 1h', { things: '', title: '2 filters replaced' }],
  ['topped up, pressure is 39.9 bar', { things: 'read pressure 39.9 bar' }],
  ['topped up, oil temperature was 68 °C', { things: 'read oil temperature 68 °C' }],
  ['topped up, the oil level is 3', { things: '', title: 'Topped up, the oil level is 3' }],
  ['packing replaced, no parts', { things: 'no parts' }],
  // What was done, and what kind of work that is.
  ['seal inspected, no leak', { kind: 'inspection', activity: 9, fault: null }],
  ['seal inspected, leaks', { kind: 'corrective', activity: 9, fault: 'seal ELU' }],
  ['packing leaked, replaced', { kind: 'corrective', activity: 1, fault: 'packing ELP' }],
  ['packing replaced, it was not leaking', { kind: 'corrective', activity: 1, fault: null }],
  ['housing painted', { kind: 'preventive', activity: 5, fault: null }],
  ['bearing greased', { kind: 'preventive', activity: 7, fault: null }],
  ['fixings tightened', { kind: 'preventive', activity: 4, fault: null }],
  ['fixings loose, tightened', { kind: 'corrective', activity: 4 }],
  ['rebuilt', { activity: 10, fault: null }],
  ['oil changed', { kind: 'preventive', activity: 7 }],
  ['bearing changed', { kind: 'corrective', activity: 1, fault: null }],
  ['new packing', { activity: 1, fault: null }],
  ['guard converted to hinged', { kind: 'improvement', activity: 3 }],
  ['checked, all good', { kind: 'inspection', activity: 6, fault: null }],
  ['safety valve tested, no fault found', { kind: 'inspection', activity: 8, fault: null }],
  ['bearing noisy, replaced', { kind: 'corrective', activity: 1, fault: 'bearing NOI' }],
  ['bearing without noise, checked', { kind: 'inspection', fault: null }],
  ['seal not replaced, only cleaned', { activity: 7, kind: 'preventive' }],
  ['seal needs to be replaced, checked', { activity: 6 }],
  ['bearing was hot, alarm came, bearing replaced', { fault: 'bearing OHE', detection: 6, activity: 1 }],
  ['packing leaked, found at the inspection, replaced', { detection: 3, fault: 'packing ELP' }],
  ['packing leaked, replaced', { detection: 0 }],
  ['checked for cracks, none found', { kind: 'inspection', fault: null }],
  ['filter replaced, routine service', { kind: 'preventive', activity: 1, fault: null }],
  ["didn't find a leak, inspected", { kind: 'inspection', fault: null }],
  ['did not start, fuse replaced', { kind: 'corrective', activity: 1 }],
  ['looked at the seal', { kind: 'inspection', activity: 9 }],
  ['something was going on there', { kind: 'corrective', activity: null, fault: null }],
];

describe('ordinary speech about work that is done', () => {
  it.each(table)('“%s”', (line, expected) => {
    expect(becomes(`pump 2: ${line}`)).toMatchObject(expected);
  });

  it('loses no time: what it says is read, or said to be not understood', () => {
    for (const minutes of [5, 20, 45, 60, 61, 90, 135, 600]) {
      const read = readDone(`pump 2: packing replaced, ${formatDuration(minutes)}`, { assets: [pump], now, zone });
      expect(read.times.map(({ from, to }) => minutesBetween(from, to))).toEqual([minutes]);
    }
  });

  it('says that a time may be of the wrong half of the day', () => {
    const morning = parseInstant('2026-11-23T07:00:00Z');
    const [time] = readDone('pump 2: packing replaced, since nine', { assets: [pump], now: morning, zone }).times;
    expect(time?.isUnsure).toBe(true);
    const [sure] = readDone('pump 2: packing replaced, since seven', { assets: [pump], now: morning, zone }).times;
    expect(sure?.isUnsure).toBe(false);
  });
});
