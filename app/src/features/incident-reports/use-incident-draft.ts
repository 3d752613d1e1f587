import { causesField, presentField, type Incident } from '@oilcan/core/incidents';
import { argsSchema, choiceField } from '@oilcan/core/kernel';
import { incidentKinds } from '@oilcan/core/raise-rules';
import { draftText, useFieldsDraft } from '../../data/fields-draft';

const draft = argsSchema({
  kind: choiceField(incidentKinds),
  time: draftText(),
  causes: causesField(),
  presentIds: presentField(),
  presentOthers: draftText(),
  doneAtOnce: draftText(),
});

/** What is said of an incident beside its words and pictures, which any way of raising it has; but for the signature: that is given for the whole. */
type Said = Pick<Incident, 'kind' | 'causes' | 'presentIds' | 'presentOthers' | 'doneAtOnce'> & {
  /** When it happened, as it is typed. */
  readonly time: string;
};

interface IncidentDraft extends Said {
  readonly change: (some: Partial<Said>) => void;
  readonly forget: () => void;
}

const nothing: Said = { kind: 'nearMiss', time: '', causes: [], presentIds: [], presentOthers: '', doneAtOnce: '' };

/**
 * What is said of an incident that is not reported yet: a reload in the middle loses nothing of it.
 *
 * @param where the draft of what is raised there; each has its own
 */
export function useIncidentDraft(where: string): IncidentDraft {
  const { fields, change, forget } = useFieldsDraft(`incident of ${where}`, draft, nothing);
  return { ...fields, change, forget };
}
