import { argsSchema, optionalInstantField, type Instant } from '@oilcan/core/kernel';
import {
  optionalConditionField,
  optionalFlagField,
  optionalVoiceField,
  photosField,
  type ReportPhoto,
  type ReportVoice,
} from '@oilcan/core/reports';
import { otherDrafts } from '../../data/drafts';
import { draftText, isTakenLately, readFields, useFieldsDraft } from '../../data/fields-draft';
import { now } from '../../data/store';
import { notSaid, type HowBad } from './how-bad';

/** What the names of these drafts begin with. */
const RAISE = 'raise';

const draft = argsSchema({
  words: draftText(),
  way: draftText(),
  at: draftText(),
  condition: optionalConditionField(),
  danger: optionalFlagField(),
  since: optionalInstantField(),
  photos: photosField(),
  voice: optionalVoiceField(),
  takenAt: optionalInstantField(),
});
const nothing = { words: '', way: '', at: '', ...notSaid, photos: [], voice: null, takenAt: null };

interface Raised {
  readonly words: string;
  /** What becomes of it, by a name of `ways.tsx`; empty where that was not chosen. */
  readonly way: string;
  /** Where it is, as `asset gearbox` or `place hall`; empty where that was not chosen. */
  readonly at: string;
  readonly how: HowBad;
  readonly photos: readonly ReportPhoto[];
  readonly voice: ReportVoice | null;
}

export interface RaiseDraft extends Raised {
  /** When the latest photo or voice note was taken. */
  readonly takenAt: Instant | null;
  readonly change: (some: Partial<Omit<Raised, 'how'>> | HowBad) => void;
  readonly forget: () => void;
  /** The name under which it is kept. */
  readonly where: string;
}

/**
 * What is being raised and not kept yet: a reload in the middle loses nothing of it.
 *
 * @param on the machine or place at which it began; each has its own
 * @param given what it is, where a link says so and nothing was said here yet
 */
export function useRaiseDraft(on: string, given: string): RaiseDraft {
  const where = `${RAISE} ${on}`;
  const { fields, change, forget } = useFieldsDraft(where, draft, { ...nothing, words: given });
  const { words, way, at, condition, danger, since, takenAt } = fields;
  const isThere = isTakenLately(takenAt);
  return {
    words,
    way,
    at,
    how: { condition, danger, since },
    photos: isThere ? fields.photos : [],
    voice: isThere ? fields.voice : null,
    takenAt,
    change: (some) => change('photos' in some || 'voice' in some ? { ...some, takenAt: now() } : some),
    forget,
    where,
  };
}

/** What was half-said elsewhere and was to become this. */
export function otherRaised(where: string, way: string): { readonly where: string; readonly words: string }[] {
  return otherDrafts(RAISE, where).flatMap((other) => {
    const kept = readFields(other.text, draft);
    return kept === null || kept.way !== way || kept.words.trim() === ''
      ? []
      : [{ where: other.where, words: kept.words }];
  });
}
