import { Fragment, type ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/work';
import { Button } from '../../ui/press';
import { useCommand } from '../keys/commands';
import { dockItems } from '../registry/views';
import type { DockItem } from '../views/dock-item';

const items = dockItems.filter(({ place }) => place === 'costs');

interface Props {
  readonly work: WorkOrder;
  /** Whose sheet is open, by the name of the button; held outside because what is owed opens them too. */
  readonly open: string | null;
  readonly onOpen: (name: string | null) => void;
}

/** What else a job cost is recorded beside what it came to so far. */
export function CostItems({ work, open, onOpen }: Props): ReactElement {
  return (
    <>
      {items.map((item) => (
        <Fragment key={item.name}>
          <CostButton item={item} onPress={() => onOpen(item.name)} />
          {open === item.name ? <item.Sheet work={work} onClose={() => onOpen(null)} /> : null}
        </Fragment>
      ))}
    </>
  );
}

function CostButton({ item, onPress }: { readonly item: DockItem; readonly onPress: () => void }): ReactElement {
  useCommand(`record ${item.name}`, onPress);
  return <Button icon={item.icon} word={item.word} onPress={onPress} />;
}
