import type { ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { Button } from '../../../ui/press/press';
import { useCommand } from '../../frame/keys/commands';
import { dockItems } from '../../frame/registry/views';
import type { DockItem } from '../../frame/views/dock-item';

const items = dockItems.filter(({ place }) => place === 'costs');

/** One's time is typed on most jobs, and stands apart from what else a job may cost. */
const TIME = 'time';

/** The key with which time is typed. */
export function TimeKey({ onOpen }: { readonly onOpen: (name: string) => void }): ReactElement | null {
  const item = items.find(({ name }) => name === TIME);
  return item === undefined ? null : <CostButton item={item} onPress={() => onOpen(item.name)} />;
}

/** What else a job cost is recorded with. */
export function CostItems({ onOpen }: { readonly onOpen: (name: string) => void }): ReactElement {
  const others = items.filter(({ name }) => name !== TIME);
  return (
    <>
      {others.map((item) => (
        <CostButton key={item.name} item={item} onPress={() => onOpen(item.name)} />
      ))}
    </>
  );
}

interface SheetProps {
  readonly work: WorkOrder;
  /** Whose sheet is open, by the name of the key; held outside because what is owed opens them too. */
  readonly open: string | null;
  readonly onClose: () => void;
}

/** The sheet of one of them, apart from its key, which may be folded away. */
export function CostSheet({ work, open, onClose }: SheetProps): ReactElement | null {
  const item = items.find(({ name }) => name === open);
  return item === undefined ? null : <item.Sheet work={work} onClose={onClose} />;
}

function CostButton({ item, onPress }: { readonly item: DockItem; readonly onPress: () => void }): ReactElement {
  useCommand(`record ${item.name}`, onPress);
  return <Button rank="quiet" icon={item.icon} word={item.word} onPress={onPress} />;
}
