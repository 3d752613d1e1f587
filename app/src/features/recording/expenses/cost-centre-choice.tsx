import type { ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow, useSettings } from '../../../data/store/store';
import { Choice, Choices } from '../../../ui/fields/choice';

interface Props {
  readonly work: WorkOrder;
  /** Null for that of the machine. */
  readonly chosen: string | null;
  readonly onChange: (chosen: string | null) => void;
}

/** Where a cost is charged: that of the machine, or another; nothing where there are none. */
export function CostCentreChoice({ work, chosen, onChange }: Props): ReactElement | null {
  const settings = useSettings(work.siteId);
  const asset = useRow('assets', work.assetId);
  const centres = settings?.costCentres ?? [];
  if (centres.length === 0) return null;
  const own = centres.find(({ id }) => id === asset?.costCentre);
  return (
    <Choices label="Charged to">
      <Choice word={own?.name ?? 'As the machine'} isChosen={chosen === null} onPress={() => onChange(null)} />
      {centres
        .filter(({ id }) => id !== own?.id)
        .map(({ id, name }) => (
          <Choice key={id} word={name} isChosen={chosen === id} onPress={() => onChange(id)} />
        ))}
    </Choices>
  );
}
