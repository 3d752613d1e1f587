import { causesField, presentField, type Incident } from '@oilcan/core/incidents';
import { argsSchema, choiceField, optionalInstantField } from '@oilcan/core/kernel';
import { incidentKinds } from '@oilcan/core/raise-rules';
import { optionalPhotoField } from '@oilcan/core/reports';
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
  photo: optionalPhotoField(),
  takenAt: optionalInstantField(),
});

/** What was said of an incident so far, but for the signature: that is given for the whole. */
type Said = Pick<Incident, 'kind' | 'words' | 'causes' | 'presentIds' | 'presentOthers' | 'doneAtOnce' | 'photo'> & {
  /** When it happened, as it is typed. */
  readonly time: string;
};

interface IncidentDraft extends Said {
  readonly change: (some: Partial<Said>) => void;
  readonly forget: () => void;
}

/**
 * An incident that is not reported yet: a reload in the middle loses nothing of it.
 *
 * @param on the machine or place at which it began; each has its own
 * @param words what was typed before it was said to be an incident
 */
export function useIncidentDraft(on: string, words: string): IncidentDraft {
  const { fields, change, forget } = useFieldsDraft(`incident ${on}`, draft, {
    kind: 'nearMiss',
    words,
    time: '',
    causes: [],
    presentIds: [],
    presentOthers: '',
    doneAtOnce: '',
    photo: null,
    takenAt: null,
  });
  const { takenAt, photo, ...said } = fields;
  return {
    ...said,
    photo: isTakenLately(takenAt) ? photo : null,
    change: (some) => change('photo' in some ? { ...some, takenAt: now() } : some),
    forget,
  };
}
