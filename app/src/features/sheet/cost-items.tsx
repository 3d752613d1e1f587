import { Fragment, useState, type ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/work';
import { Button } from '../../ui/press';
import { useCommand } from '../keys/commands';
import { dockItems } from '../registry/views';
import type { DockItem } from '../views/dock-item';

const items = dockItems.filter(({ place }) => place === 'costs');

/** What else a job cost is recorded beside what it came to so far. */
export function CostItems({ work }: { readonly work: WorkOrder }): ReactElement {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <>
      {items.map((item) => (
        <Fragment key={item.name}>
          <CostButton item={item} onPress={() => setOpen(item.name)} />
          {open === item.name ? <item.Sheet work={work} onClose={() => setOpen(null)} /> : null}
        </Fragment>
      ))}
    </>
  );
}

function CostButton({ item, onPress }: { readonly item: DockItem; readonly onPress: () => void }): ReactElement {
  useCommand(`record ${item.name}`, onPress);
  return <Button icon={item.icon} word={item.word} onPress={onPress} />;
}
