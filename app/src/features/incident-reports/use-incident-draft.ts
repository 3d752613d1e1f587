import { causesField, presentField, type IncidentCause } from '@oilcan/core/incidents';
import {
  argsSchema,
  choiceField,
  LONGEST_TEXT,
  optionalInstantField,
  optionalTextField,
  type PersonId,
} from '@oilcan/core/kernel';
import { incidentKinds, type IncidentKind } from '@oilcan/core/raise-rules';
import { optionalPhotoField, type ReportPhoto } from '@oilcan/core/reports';
import { isTakenLately, useFieldsDraft } from '../../data/fields-draft';
import { now } from '../../data/store';

const draft = argsSchema({
  kind: choiceField(incidentKinds),
  words: optionalTextField(LONGEST_TEXT),
  time: optionalTextField(),
  causes: causesField(),
  presentIds: presentField(),
  presentOthers: optionalTextField(),
  doneAtOnce: optionalTextField(LONGEST_TEXT),
  photo: optionalPhotoField(),
  takenAt: optionalInstantField(),
});

/** What was said of an incident so far, but for the signature: that is given for the whole. */
interface Said {
  readonly kind: IncidentKind;
  readonly words: string;
  /** As it is typed. */
  readonly time: string;
  readonly causes: readonly IncidentCause[];
  readonly presentIds: readonly PersonId[];
  readonly presentOthers: string;
  readonly doneAtOnce: string;
  readonly photo: ReportPhoto | null;
}

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
