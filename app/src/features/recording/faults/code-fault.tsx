import type { ReactElement } from 'react';
import type { EntryOf, WorkOrder } from '@oilcan/core/orders/work';
import { useRow } from '../../../data/store/store';
import { lazyComponent } from '../../../ui/loading/lazy-component';

const AmendFault = lazyComponent(() => import('./amend-fault').then((module) => module.AmendFault));

interface Props {
  readonly work: WorkOrder;
  /** The fault whose codes are owed; null for none. */
  readonly entryId: string | null;
  readonly onClose: () => void;
}

/** Where the codes of a fault are given that are still owed. */
export function CodeFault({ work, entryId, onClose }: Props): ReactElement | null {
  const entry = useRow('entries', entryId);
  if (entry?.content.kind !== 'fault') return null;
  return <AmendFault work={work} entry={entry as EntryOf<'fault'>} onClose={onClose} />;
}
