import type { Instant } from '@oilcan/core/kernel';
import type { ReportPhoto, ReportVoice } from '@oilcan/core/reports';
import { useRaiseDraft } from './use-raise-draft';

/** What was photographed and spoken of something, before it was said what becomes of it. */
export interface Taken {
  readonly photos: readonly ReportPhoto[];
  readonly voice: ReportVoice | null;
}

interface TakenAlong extends Taken {
  readonly takenAt: Instant | null;
  readonly change: (some: Partial<Taken>) => void;
  /** All that was said on Raise has become something: it begins there anew. */
  readonly forget: () => void;
}

const untouched = { photos: [], voice: null, takenAt: null, change: () => undefined, forget: () => undefined };

/**
 * What comes along from Raise to another way of raising the same thing.
 *
 * @param raisedOn the machine or place at which it began on Raise (empty for none); undefined where nobody comes from there
 */
export function useTakenAlong(raisedOn: string | undefined): TakenAlong {
  const draft = useRaiseDraft(raisedOn ?? '');
  return raisedOn === undefined ? untouched : draft;
}
