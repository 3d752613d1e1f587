import type { WorkKind } from '../../orders/work/work-order';

/** What words say of work that is done. */
export interface DoneWords {
  /** What activity they name, by the codes of ISO 14224; null for none. */
  readonly activity: number | null;
  /** What kind of work it was. */
  readonly kind: WorkKind;
  /** The words that say what was wrong, without what they deny; empty where nothing was. */
  readonly trouble: string;
  /** How it was noticed, by the codes of ISO 14224; null where they do not say. */
  readonly detection: number | null;
}

/**
 * What somebody says that they did, by the codes of ISO 14224:2016, table B.5 (memory): of several, the first in this order. Painting
 * and grinding are “refit” there, cleaning, greasing and filling up with what is used up are “service”. Verbs only: a seal is no
 * repair, a fixing neither.
 */
const activityWords: readonly (readonly [RegExp, number])[] = [
  [/(?:oil|grease|coolant|fluid|lubricant)\s+(?:was\s+|and filter\s+)?(?:changed|renewed|replaced|exchanged)/i, 7],
  [/changed\s+(?:the\s+)?(?:oil|grease|coolant|fluid)/i, 7],
  [
    /(?:replac|renew|exchang|swapp)(?:ed|ing)|\bchang(?:ed|ing)\b|put (?:in )?a new|fitted (?:a )?new|\bnew\s+\p{L}+/iu,
    1,
  ],
  [/overhaul(?:ed|ing)|rebuilt|reconditioned/i, 10],
  [/repair(?:ed|ing)|mended|(?:re)?weld(?:ed|ing)|\bfix(?:ed|ing)\b|(?:re)?sealed|patched|glued|soldered/i, 2],
  [/modified|converted|upgraded|rerouted|extended/i, 3],
  [
    /(?:re)?adjust(?:ed|ing)|(?:re)?align(?:ed|ing)|(?:re)?tight(?:en)?(?:ed|ing)|(?:re)?tensioned|calibrated|\bset to\b/i,
    4,
  ],
  [/refitted|put back|reseated|painted|repainted|polished|coated|ground (?:off|down)/i, 5],
  [
    /clean(?:ed|ing)|(?:re)?greas(?:ed|ing)|lubricated|oiled|topped up|filled up|refilled|serviced|thawed|cleared|drained|flushed/i,
    7,
  ],
  [/\btested|test run|tried out/i, 8],
  [/inspected|looked (?:at|over|into)|examined/i, 9],
  [/\bchecked|verified/i, 6],
];

/** Before a verb these say that it was not done, or not yet. */
const NOT_DONE =
  /(?:\bnot|n['’]t|\bnever|\bwithout|\bno need|\bneeds?|\bto be|\bshould(?: be)?|\bmust(?: be)?|\bwill(?: be)?|\bhas to|\bcould)\s+(?:\p{L}+\s+){0,2}$/iu;
/** Behind which it is not done either: “replacing it can wait”. */
const NOT_DONE_BEHIND = /^\s+(?:is|was)?\s*(?:not needed|not necessary|can wait)/i;

function activityIn(words: string): number | null {
  for (const [form, activity] of activityWords)
    for (const match of words.matchAll(new RegExp(form.source, `g${form.flags}`))) {
      const before = clauseBefore(words, match.index);
      const behind = words.slice(match.index + match[0].length);
      if (!NOT_DONE.test(before) && !NOT_DONE_BEHIND.test(behind)) return activity;
    }
  return null;
}

const clauseBefore = (words: string, at: number): string =>
  words
    .slice(0, at)
    .split(/[,.;]|\bbut\b/i)
    .at(-1) ?? '';

/** What can fail to happen: before these a denial names the trouble (“did not start”). */
const SHOULD_HAPPEN =
  'start|stop|close|open|run|work|turn|move|cool|heat|pump|hold|respond|switch|pressure|flow|power|signal|function|oil|water|air';
/** What is denied: “no leak”, “not leaking”, “leaks no more”, “free of cracks”. */
const DENIED = new RegExp(
  `\\b(?:no longer|no|not|never|without|nothing|free of|free from|neither|nor)\\s+(?!(?:${SHOULD_HAPPEN}))(?:any\\s+|a\\s+|more\\s+)?[\\p{L}-]+(?:\\s+(?:or|and|nor)\\s+[\\p{L}-]+)*`,
  'giu',
);
const DENIED_SHORT = new RegExp(`\\b\\p{L}+n['’]t\\s+(?!(?:${SHOULD_HAPPEN}))\\p{L}+`, 'giu');
/** “did not find a leak”. */
const NOT_FOUND =
  /(?:\bnot|\bnever|n['’]t|\bcould not)\s+(?:find|see|hear|notice|feel|have|show)\s+(?:any\s+|a\s+|an\s+)?(?:sign of\s+)?[\p{L}-]+/giu;
const DENIED_BEHIND = /\b[\p{L}-]+\s+(?:no more|any more|not found|none found|none)\b/giu;
/** What may come, or was only looked for. */
const NOT_YET =
  /\b(?:might|may|could|will|would|for|against)\s+(?:\p{L}+\s+)?(?:leak|crack|wear|play|noise|vibrat|corro|rust)\p{L}*/giu;

/** The words that are not denied. */
function undenied(words: string): string {
  return words
    .replace(NOT_FOUND, ' ')
    .replace(DENIED, ' ')
    .replace(DENIED_SHORT, ' ')
    .replace(DENIED_BEHIND, ' ')
    .replace(NOT_YET, ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

/** What people call trouble; common practice. Parts of words, from their beginning. */
const TROUBLE = new RegExp(
  `(?:^|[^\\p{L}])(?:leak|drip|weep|broke|burst|snapp|worn|rotten|torn|tore|crack|stuck|jam|seiz|block|clog|nois|loud|squeal|grind|rattl|hum(?:s|med|ming)|hot\\b|overheat|burn|smok|smell|loose|fail|fault|defect|tripp|trips|vibrat|shak|dead\\b|rust|corro|bent|damag|shut down|frozen|iced|drift|puddle|play in|(?:no|not|n['’]t|never) (?:${SHOULD_HAPPEN}))`,
  'iu',
);

const PLANNED =
  /\b(?:periodic|planned|routine|weekly|monthly|yearly|annual|daily|round|as scheduled|service interval|due)\b/i;
const ALARM = /\b(?:alarm|tripped|warning light|fault light|error (?:code|message))\b/i;

const kindOfActivity: Readonly<Record<number, WorkKind>> = {
  3: 'improvement',
  4: 'preventive',
  5: 'preventive',
  6: 'inspection',
  7: 'preventive',
  8: 'inspection',
  9: 'inspection',
};

/**
 * What the words of a line say of work that is done. Something that was wrong makes it corrective; without that, what was done says
 * the kind: a seal that was inspected and found tight is an inspection, grease is prevention.
 */
export function whatWasDone(words: string): DoneWords {
  const activity = activityIn(words);
  const left = undenied(words);
  const isTrouble = TROUBLE.test(left);
  const isPlanned = PLANNED.test(words);
  const unplanned = activity === null ? 'corrective' : (kindOfActivity[activity] ?? 'corrective');
  const kind = isTrouble ? 'corrective' : isPlanned && unplanned === 'corrective' ? 'preventive' : unplanned;
  return {
    activity,
    kind,
    trouble: isTrouble ? left : '',
    detection: isTrouble ? detectionIn(words) : null,
  };
}

/** ISO 14224:2016, table B.4 (memory); null where nobody said. */
function detectionIn(words: string): number | null {
  if (ALARM.test(words)) return 6;
  if (/\b(?:at|on|during) (?:the |an )?(?:inspection|round)\b/i.test(words)) return 3;
  if (/\b(?:at|on|during) (?:the |a )?(?:test|trial)\b/i.test(words)) return 2;
  if (/\b(?:at|on|during) (?:the |a )?service\b/i.test(words)) return 1;
  return null;
}
