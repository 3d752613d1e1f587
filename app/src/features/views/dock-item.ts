import type { ComponentType } from 'react';
import type { WorkOrder } from '@oilcan/core/work';
import type { IconName } from '../../ui/icon-paths';

/** One key of the dock: what a subject records on a work order. */
export interface DockItem {
  readonly name: string;
  readonly word: string;
  readonly icon: IconName;
  /** The key of a wide screen that opens it. */
  readonly key: string;
  /** Whether the hazards must have been read first. */
  readonly countsAsWorking: boolean;
  readonly Sheet: ComponentType<{ readonly work: WorkOrder; readonly onClose: () => void }>;
}
