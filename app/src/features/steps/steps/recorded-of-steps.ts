import { formatDuration } from '@oilcan/core/kernel';
import { currentEntries, type Entry } from '@oilcan/core/orders/work';
import { counted } from '../../../words/work-words';

interface Recorded {
  notes: number;
  photos: number;
  minutes: number;
}

/** What was recorded of each step beside its answers, in words: “1 note, 2 photos, 12 min”. */
export function recordedOfSteps(entries: readonly Entry[]): ReadonlyMap<string, string> {
  const bySteps = new Map<string, Recorded>();
  const of = (stepId: string): Recorded => {
    const known = bySteps.get(stepId) ?? { notes: 0, photos: 0, minutes: 0 };
    bySteps.set(stepId, known);
    return known;
  };
  for (const { content } of currentEntries(entries)) {
    if (content.kind === 'note' && content.stepId !== undefined) of(content.stepId).notes += 1;
    if (content.kind === 'photo' && content.stepId !== undefined) of(content.stepId).photos += 1;
    if (content.kind === 'labor' && content.stepId !== undefined) of(content.stepId).minutes += content.minutes;
  }
  return new Map([...bySteps].map(([stepId, recorded]) => [stepId, inWords(recorded)]));
}

function inWords({ notes, photos, minutes }: Recorded): string {
  return [
    ...(notes === 0 ? [] : [counted(notes, 'note', 'notes')]),
    ...(photos === 0 ? [] : [counted(photos, 'photo', 'photos')]),
    ...(minutes === 0 ? [] : [formatDuration(minutes)]),
  ].join(', ');
}
