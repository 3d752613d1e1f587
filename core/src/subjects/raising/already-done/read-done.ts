import { addMinutes, minutesBetween, type Instant } from '../../../kernel/time/instant';
import { formatDuration } from '../../../kernel/time/duration';
import type { Zone } from '../../../kernel/time/zone';
import type { Asset } from '../../plant/plant/plant';
import { parseShorthand } from '../../recording/shorthand/parse';
import type { Phrase } from '../../recording/shorthand/phrase';
import { fromSpoken } from '../../recording/shorthand/spoken';
import { likelyMachines, type LikelyMachine } from './likely-machines';
import { partSaid, readingSaid } from './things-said';
import { endOf, stretchOf, stretchWithin, timeLeftIn, type SaidStretch, type Stretch } from './times-said';
import { whatWasDone, type DoneWords } from './what-was-done';

export type TimeType = Extract<Phrase, { is: 'time' }>['timeType'];

/** Time of the person, as what it counts. */
export interface DoneTime extends Stretch {
  readonly timeType: TimeType;
}

/** What one line about work that is already done says. */
export interface DoneLine extends DoneWords {
  /** The machines that it may be about, the likeliest first. */
  readonly machines: readonly LikelyMachine[];
  /** What was done, in its own words; empty where the line only has figures. */
  readonly title: string;
  /** The person's times, one before the other. */
  readonly times: readonly DoneTime[];
  readonly stoppage: (Stretch & { readonly extent: 'full' | 'reduced' }) | null;
  /** What else it says, as the shorthand has it: parts, faults, readings, notes, expenses, that there was none of something. */
  readonly phrases: readonly Phrase[];
  /** What speaks of a time or of other people and is not understood, in the words of the line: they stay in the title. */
  readonly notUnderstood: readonly string[];
}

/** The longest line that is read. */
const LONGEST_DONE = 1_000;
const LONGEST_TITLE = 200;

/** What the parts of a line say, as it is put together. */
interface Gathered {
  readonly words: string[];
  readonly phrases: Phrase[];
  readonly times: (SaidStretch & { readonly timeType: TimeType })[];
  readonly notUnderstood: string[];
  stoppage: DoneLine['stoppage'];
  /** When the work ended, if that was said by itself. */
  ended: Instant | null;
}

/**
 * Reads one line about work that was done without a work order, in plain words or shorthand, typed or spoken: “pump 2: packing replaced,
 * 2 h just now, 1x pack-12, stood still since nine”. Times are counted back from now, or are the latest such times of the clock. What
 * speaks of a time and is not understood is named, and stays in the title: nothing is dropped or guessed.
 *
 * @param assets among which its machine is found
 */
export function readDone(
  line: string,
  { assets, now, zone }: { readonly assets: readonly Asset[]; readonly now: Instant; readonly zone: Zone },
): DoneLine {
  const { head, rest } = headOf(fromSpoken(line.slice(0, LONGEST_DONE)), assets);
  const gathered: Gathered = { words: [], phrases: [], times: [], notUnderstood: [], stoppage: null, ended: null };
  for (const part of partsOf(rest)) gather(gathered, part, { now, zone });
  const { words, phrases, notUnderstood, stoppage, ended } = gathered;
  // “2 h, yesterday” did not end now: when it was has to be said.
  const isOfAnotherDay = words.some((each) => OTHER_DAY.test(each));
  const known = gathered.times.filter(({ isOnlyLong }) => !(isOnlyLong && isOfAnotherDay));
  for (const { from, to } of gathered.times.filter((each) => !known.includes(each)))
    notUnderstood.push(`“${formatDuration(minutesBetween(from, to))}” of another day`);
  const times = oneBeforeTheOther(known, ended ?? now);
  // Without how long it took, an end says no time.
  if (ended !== null && times.length === 0) notUnderstood.push('when it ended, without when it began');
  const title = beginningWithCapital(words.join(', ').slice(0, LONGEST_TITLE));
  return {
    machines: likelyMachines(head === '' ? title : head, assets),
    title,
    times,
    stoppage,
    phrases,
    notUnderstood,
    ...whatWasDone(title),
  };
}

/** Puts what one part of the line says to what was gathered. */
function gather(into: Gathered, part: string, clockwork: { readonly now: Instant; readonly zone: Zone }): void {
  const stood = isDenied(part) ? null : STOOD.exec(part);
  if (stood !== null) {
    const before = part.slice(0, stood.index).trim();
    const when = stretchOf(part.slice(stood.index + stood[0].length), clockwork) ?? stretchOf(before, clockwork);
    if (when !== null && into.stoppage === null) {
      const { isOnlyLong: _, ...stretch } = when;
      into.stoppage = { ...stretch, extent: /reduced|slow/i.test(stood[0]) ? 'reduced' : 'full' };
      if (before !== '' && stretchOf(before, clockwork) === null) gather(into, before, clockwork);
      return;
    }
  }
  const ended = endOf(part, clockwork);
  if (ended !== null) {
    into.ended = ended;
    return;
  }
  const { said, timeType } = withType(part);
  const stretch = stretchOf(said, clockwork);
  if (stretch !== null) {
    into.times.push({ ...stretch, timeType });
    return;
  }
  const read = parseShorthand(part).map(({ phrase }) => phrase);
  if (read.length > 0 && read.every(({ is }) => is !== 'unread')) {
    for (const phrase of read) gatherPhrase(into, phrase, clockwork.now);
    return;
  }
  const thing = readingSaid(part) ?? partSaid(part);
  if (thing !== null) {
    into.phrases.push(thing);
    return;
  }
  const within = stood === null ? stretchWithin(said, clockwork) : null;
  if (within !== null) into.times.push({ ...within.stretch, timeType });
  const words = within === null ? part : within.words;
  into.words.push(words);
  const left = timeLeftIn(words) ?? (OTHER_PEOPLE.exec(words)?.[0] || null);
  if (left !== null) into.notUnderstood.push(`“${left.trim()}”`);
}

function gatherPhrase(into: Gathered, phrase: Phrase, now: Instant): void {
  const untilNow = (minutes: number): SaidStretch => ({
    from: addMinutes(now, -minutes),
    to: now,
    isUnsure: false,
    isOnlyLong: true,
  });
  if (phrase.is === 'time') into.times.push({ ...untilNow(phrase.minutes), timeType: phrase.timeType });
  else if (phrase.is === 'stoppage' && into.stoppage === null)
    into.stoppage = { ...untilNow(phrase.minutes), extent: phrase.extent };
  else into.phrases.push(phrase);
}

/** Times of which is only said how long they took follow one another, the last of them to the end. */
function oneBeforeTheOther(times: Gathered['times'], end: Instant): DoneTime[] {
  let until = end;
  return times
    .slice()
    .reverse()
    .map(({ isOnlyLong, ...time }): DoneTime => {
      if (!isOnlyLong) return time;
      const from = addMinutes(until, -minutesBetween(time.from, time.to));
      const placed = { ...time, from, to: until };
      until = from;
      return placed;
    })
    .reverse();
}

const TYPE = /\s*\b(?:of\s+)?(overtime|travel(?:ling|ing)?|driving|on the (?:way|road))\b\s*/i;

/** `1h overtime`, “30 min of travel”: what the time counts as, and the words without it. */
function withType(part: string): { readonly said: string; readonly timeType: TimeType } {
  const match = TYPE.exec(part);
  if (match?.[1] === undefined) return { said: part, timeType: 'regular' };
  const said = `${part.slice(0, match.index)} ${part.slice(match.index + match[0].length)}`.trim();
  return { said, timeType: /overtime/i.test(match[1]) ? 'overtime' : 'travel' };
}

/** As the titles of other work begin. */
const beginningWithCapital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

/** What stands before the first colon is the machine, unless the colon belongs to a time. */
function headOf(line: string, assets: readonly Asset[]): { readonly head: string; readonly rest: string } {
  const colon = /^([^:;,]{1,80}):(?!\d)/.exec(line);
  if (colon?.[1] !== undefined) return { head: colon[1].trim(), rest: line.slice(colon[0].length) };
  const [first = ''] = partsOf(line);
  // “pump 2, packing replaced”: its first part names a machine and nothing else.
  const [likeliest] = likelyMachines(first, assets);
  const isMachine = likeliest !== undefined && likeliest.share === 1 && likeliest.isWhole;
  return isMachine ? { head: first, rest: line.slice(line.indexOf(first) + first.length) } : { head: '', rest: line };
}

/** Its parts: a comma or a point within a number parts nothing. */
function partsOf(line: string): string[] {
  return line
    .replace(/(\dh|\bhours?|\bhrs?|\d h) and (?=\d{1,2}\s?m)/gi, '$1 ')
    .split(/;|(?<!\d),|,(?!\d)|\.(?=\s|$)|\sand\s(?=\d|stood|stopped)|\bthen\s(?=\d)/i)
    .map((part) => part.trim())
    .filter((part) => part !== '');
}

const STOOD =
  /\b(?:(?:it\s+)?(?:stood(?:\s+still)?|was\s+(?:stopped|down)|stopped|standstill(?:\s+of)?|down(?:time)?(?:\s+(?:was|of))?|ran\s+reduced|ran\s+slow(?:ly)?|reduced)(?:\s+for)?)(?=\s|$)/i;
const isDenied = (part: string): boolean => /\b(?:not|never|no)\b|n['’]t\b/i.test(part);

const OTHER_DAY = /\b(?:yesterday|the day before|last (?:night|week))\b/i;

/** The time of others is theirs: only one's own is kept. */
const OTHER_PEOPLE =
  /\b(?:two|three|four|five|six|[2-9])\s+(?:of us|people|men|persons)\b|\bwith \p{Lu}\p{L}+|\bboth of us\b/u;
