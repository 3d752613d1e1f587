import { useState, type ReactElement } from 'react';
import type { Part } from '@oilcan/core/stock';
import type { WorkOrder } from '@oilcan/core/work';
import { useStockOf } from '../../data/stock';
import { useOperation } from '../../data/use-operation';
import { FormRefusal } from '../../forms/form-refusal';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { comesOutOf, fateAtFirst, noNumbers, NumberedPart, unsaidOf, type Numbers } from './numbered-part';

interface Props {
  readonly work: WorkOrder;
  readonly part: Part;
  /** What comes out of the machine. */
  readonly installationId: string;
  readonly onClose: () => void;
}

/** A part with a number comes out and none of the store goes in: what becomes of it. */
export function TakeOutSheet({ work, part, installationId, onClose }: Props): ReactElement {
  const stock = useStockOf(part.id, work.siteId);
  const { run, refusal, errorAt } = useOperation();
  const [numbers, setNumbers] = useState<Numbers>(() => ({
    ...noNumbers,
    out: installationId,
    fate: fateAtFirst(installationId),
  }));
  const unsaid = unsaidOf(numbers, true);
  const takeOut = async (): Promise<void> => {
    const comesOut = comesOutOf(numbers, part, work.assetId);
    if (comesOut === null) return;
    if (await run('part.take-out', { workOrderId: work.id, comesOut }, `${part.name} is out.`)) onClose();
  };
  return (
    <BottomSheet
      title="Taken out of the machine"
      aside={part.name}
      onClose={onClose}
      foot={<Button rank="primary" cannot={unsaid} word="It is out" onPress={() => void takeOut()} />}
    >
      <NumberedPart work={work} part={part} stock={stock} numbers={numbers} onChange={setNumbers} isOutOnly />
      {unsaid === null ? null : <Words as="label">{unsaid}</Words>}
      <FormRefusal sentence={errorAt(refusal?.field ?? '')} />
    </BottomSheet>
  );
}
