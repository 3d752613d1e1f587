import { causesField, presentField, type Incident } from '@oilcan/core/incidents';
import { argsSchema, choiceField, optionalInstantField, type Instant } from '@oilcan/core/kernel';
import { incidentKinds } from '@oilcan/core/raise-rules';
import { optionalVoiceField, photosField, type ReportPhoto, type ReportVoice } from '@oilcan/core/reports';
import { draftText, isTakenLately, useFieldsDraft } from '../../data/fields-draft';
import { now } from '../../data/store';

const draft = argsSchema({
  kind: choiceField(incidentKinds),
  words: draftText(),
  time: draftText(),
  causes: causesField(),
  presentIds: presentField(),
  presentOthers: draftText(),
  doneAtOnce: draftText(),
  photos: photosField(),
  voice: optionalVoiceField(),
  takenAt: optionalInstantField(),
});

/** What was said of an incident so far, but for the signature: that is given for the whole. */
type Said = Pick<Incident, 'kind' | 'words' | 'causes' | 'presentIds' | 'presentOthers' | 'doneAtOnce'> & {
  readonly photos: readonly ReportPhoto[];
  /** When it happened, as it is typed. */
  readonly time: string;
  readonly voice: ReportVoice | null;
};

/** What was said and taken on Raise before it was said to be an incident. */
interface Begun {
  /** The machine or place at which it began; each has its own. */
  readonly on: string;
  readonly words: string;
  readonly photos: readonly ReportPhoto[];
  readonly voice: ReportVoice | null;
  readonly takenAt: Instant | null;
}

interface IncidentDraft extends Said {
  readonly change: (some: Partial<Said>) => void;
  readonly forget: () => void;
}

/**
 * An incident that is not reported yet: a reload in the middle loses nothing of it. Other words begin another incident.
 */
export function useIncidentDraft({ on, words, ...taken }: Begun): IncidentDraft {
  const { fields, change, forget } = useFieldsDraft(`incident ${on} ${words}`.trimEnd(), draft, {
    kind: 'nearMiss',
    words,
    time: '',
    causes: [],
    presentIds: [],
    presentOthers: '',
    doneAtOnce: '',
    ...taken,
  });
  const { takenAt, photos, voice, ...said } = fields;
  // Who went back to Raise may have taken something there since.
  const isLater = taken.takenAt !== null && (takenAt === null || taken.takenAt > takenAt);
  const isThere = isTakenLately(takenAt);
  const shown = {
    photos: isLater && taken.photos.length > 0 ? taken.photos : isThere ? photos : [],
    voice: (isLater ? taken.voice : null) ?? (isThere ? voice : null),
  };
  return {
    ...said,
    ...shown,
    change: (some) => change('photos' in some || 'voice' in some ? { ...shown, ...some, takenAt: now() } : some),
    forget,
  };
}
