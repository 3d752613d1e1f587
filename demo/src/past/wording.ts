import type { Random } from '../random';
import { failureWords } from './failure-words';

const preventiveNotes: readonly string[] = [
  'All in order.',
  'Nothing to report, cleaned around it.',
  'In order; grease nipple {2-9} replaced the cap.',
  'Fine. Screws of the cover retightened.',
  'Done in {20-45} min less than planned.',
  'OK. Light corrosion at the foot, keep an eye on it.',
  'In order, ran smoothly at {3-6} m/s.',
  'Done between {5-6} and {7-8} before opening.',
  'Two lamps out, changed.',
  'Fine after the frost, condensate drained.',
  'In order. Log book signed with Tess.',
];

const asides: readonly string[] = [
  'Took {3-12} min longer, ladder was iced.',
  'Jonas helped with the cover.',
  'Wind {6-14} m/s, still fine to work.',
  'Next time bring {2-5} rags more.',
  'Snow cleared from the door first.',
  'Radio channel {2-6} is noisy up there.',
  'Waited {5-20} min for the key.',
  'Lamp {1-9} flickers, ordered.',
  'Padlock {1-9} is stiff, oiled.',
  'Photo is in the log book.',
  'Temperature {2-14} below zero.',
  'Nothing else found.',
  'Tools checked back in.',
  'Handover to the late shift done.',
];

const fill = (text: string, random: Random): string =>
  text.replace(/\{(\d+)(?:-(\d+))?\}/g, (_, low: string, high: string | undefined) =>
    String(high === undefined ? low : random.whole(Number(low), Number(high))).padStart(
      /^\d\d$/.test(low) ? 2 : 1,
      '0',
    ),
  );

export interface FailureStory {
  readonly title: string;
  readonly reason: string;
  readonly note: string;
}

/** What somebody reported, and what the technician wrote afterwards. */
export function tellFailure(kind: string, random: Random): FailureStory {
  const words = failureWords[kind];
  if (words === undefined) throw new Error(`There are no words for failures of kind ${kind}.`);
  return {
    title: fill(random.pick(words.titles), random),
    reason: fill(random.pick(words.noticed), random),
    note: `${fill(random.pick(words.found), random)} ${fill(random.pick(words.done), random)}`,
  };
}

/** A remark on planned work that went as planned; empty as often as people leave it empty. */
export function remarkOnPlanned(random: Random): string {
  if (!random.chance(0.45)) return '';
  const first = fill(random.pick(preventiveNotes), random);
  return random.chance(0.7) ? `${first} ${fill(random.pick(asides), random)}` : first;
}
