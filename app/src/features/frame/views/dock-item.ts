import type { WorkOrder } from '@oilcan/core/orders/work';
import type { LazyComponent } from '../../../ui/loading/lazy-component';

export interface DockSheetProps {
  readonly work: WorkOrder;
  /** What it begins with, such as a measuring point; left out for the likeliest. */
  readonly about?: string | undefined;
  readonly onClose: () => void;
}

/** What a subject records on a work order: a key of the dock, or a button beside what the job cost. */
export interface DockItem {
  readonly name: string;
  readonly word: string;
  /** A constant of `@mdi/js`. */
  readonly icon: string;
  readonly place: 'dock' | 'costs';
  /** The key of a wide screen that opens it. */
  readonly key: string;
  /** Whether the hazards must have been read first. */
  readonly countsAsWorking: boolean;
  /** Loaded with the sheet of the work order, so that it opens without signal too. */
  readonly Sheet: LazyComponent<DockSheetProps>;
}
