import { argsSchema, optionalInstantField, type Instant } from '@oilcan/core/kernel';
import {
  optionalConditionField,
  optionalFlagField,
  optionalVoiceField,
  photosField,
  type ReportPhoto,
  type ReportVoice,
} from '@oilcan/core/reports';
import { draftText, isTakenLately, useFieldsDraft } from '../../data/fields-draft';
import { now } from '../../data/store';
import { notSaid, type HowBad } from './how-bad';

const draft = argsSchema({
  words: draftText(),
  condition: optionalConditionField(),
  danger: optionalFlagField(),
  since: optionalInstantField(),
  photos: photosField(),
  voice: optionalVoiceField(),
  takenAt: optionalInstantField(),
});
const nothing = { words: '', ...notSaid, photos: [], voice: null, takenAt: null };

interface Raised {
  readonly words: string;
  readonly how: HowBad;
  readonly photos: readonly ReportPhoto[];
  readonly voice: ReportVoice | null;
}

interface RaiseDraft extends Raised {
  /** When the latest photo or voice note was taken. */
  readonly takenAt: Instant | null;
  readonly change: (some: Partial<Omit<Raised, 'how'>> | HowBad) => void;
  readonly forget: () => void;
}

/**
 * What is being raised and not kept yet: a reload in the middle loses nothing of it.
 *
 * @param on the machine or place at which it began; each has its own
 */
export function useRaiseDraft(on: string): RaiseDraft {
  const { fields, change, forget } = useFieldsDraft(`raise ${on}`, draft, nothing);
  const { words, condition, danger, since, takenAt } = fields;
  const isThere = isTakenLately(takenAt);
  return {
    words,
    how: { condition, danger, since },
    photos: isThere ? fields.photos : [],
    voice: isThere ? fields.voice : null,
    takenAt,
    change: (some) => change('photos' in some || 'voice' in some ? { ...some, takenAt: now() } : some),
    forget,
  };
}
