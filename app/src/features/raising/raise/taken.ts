import type { AssetCondition } from '@oilcan/core/plant/plant';
import type { Instant } from '@oilcan/core/kernel';
import type { ReportPhoto, ReportVoice } from '@oilcan/core/raising/reports';

/** What was photographed and spoken of something, before it was said what becomes of it. */
export interface Taken {
  readonly photos: readonly ReportPhoto[];
  readonly voice: ReportVoice | null;
}

export interface AlongFromRaise extends Taken {
  readonly takenAt: Instant | null;
  /** How the machine is, where that was said. */
  readonly how?: { readonly condition: AssetCondition | null; readonly since: Instant | null };
  readonly change: (some: Partial<Taken>) => void;
  /** All that was said on Raise has become something: it begins there anew. */
  readonly forget: () => void;
}

/** Where nothing was said before. */
export const nothingAlong: AlongFromRaise = {
  photos: [],
  voice: null,
  takenAt: null,
  change: () => undefined,
  forget: () => undefined,
};
