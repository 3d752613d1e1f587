import type { Owed } from '@oilcan/core/finishing/lifecycle';
import type { NoneOf } from '@oilcan/core/recording/none';

interface WhereOwed {
  /** The quick sheet in which it is given; null for what is given on the work order itself. */
  readonly sheet: string | null;
  /** What can be said to have been none; null where it cannot. */
  readonly none: NoneOf | null;
}

const onTheJob: WhereOwed = { sheet: null, none: null };

/** Where each thing that can be owed is given. */
export const whereOwed: Readonly<Record<Owed['what'], WhereOwed>> = {
  step: onTheJob,
  share: onTheJob,
  reading: { sheet: 'reading', none: null },
  fault: { sheet: 'fault', none: 'fault' },
  codes: onTheJob,
  part: { sheet: 'part', none: 'part' },
  stoppage: { sheet: 'stoppage', none: 'stoppage' },
  stoppageEnd: { sheet: 'stoppage', none: null },
  time: { sheet: 'time', none: 'time' },
  timeOfAnother: onTheJob,
  photo: { sheet: 'note', none: null },
  signature: onTheJob,
  lock: onTheJob,
  clockOfAnother: onTheJob,
};
