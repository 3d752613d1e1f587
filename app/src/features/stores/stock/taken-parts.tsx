import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatQuantity, parseQuantity, type BinId, type PartId, type Thousandths } from '@oilcan/core/kernel';
import { takenOf, type Part } from '@oilcan/core/stores/stock';
import { currentOf, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { useRow } from '../../../data/store/store';
import { useBinName, useStockOf } from '../../../data/queries/stock';
import { useOperation } from '../../../data/store/use-operation';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { BinChoice } from './bin-choice';
import { AMOUNT_HINT } from '../../../forms/typed-words';

/** What was taken on this job, from which bin last. */
export interface TakenPart {
  readonly partId: PartId;
  readonly binId: BinId;
  readonly quantity: Thousandths;
}

/** Everything of which something is left that could go back. */
export function takenParts(entries: readonly Entry[]): TakenPart[] {
  const bins = new Map<PartId, BinId>();
  for (const { content } of currentOf(entries, 'part'))
    if (content.quantity > 0) bins.set(content.partId, content.binId);
  return [...bins].flatMap(([partId, binId]) => {
    const taken = takenOf(entries, partId);
    return taken === null ? [] : [{ partId, binId, quantity: taken.quantity }];
  });
}

interface Props {
  readonly work: WorkOrder;
  readonly taken: TakenPart;
  readonly onOther: (taken: TakenPart) => void;
}

/** One of them: a press puts one back where it came from. */
export function TakenRow({ work, taken, onOther }: Props): ReactElement | null {
  const palette = usePalette();
  const part = useRow('parts', taken.partId);
  const bin = useBinName(taken.binId, work.siteId);
  const { run, refusal, errorAt } = useOperation();
  if (part === undefined) return null;
  // Of what is counted, one; of what is measured, all of it.
  const back = part.isWhole ? Math.min(1000, taken.quantity) : taken.quantity;
  const putBack = async (): Promise<void> => {
    const args = { workOrderId: work.id, partId: part.id, binId: taken.binId, quantity: back };
    await run('part.return', args, `${amountOf(back, part)} ${part.name} put back.`);
  };
  return (
    <View style={[sheet.row, { borderColor: palette.line }]}>
      <View style={sheet.words}>
        <AppText>{part.name}</AppText>
        <AppText as="small" soft>
          {amountOf(taken.quantity, part)} taken from {bin}
        </AppText>
        <FormRefusal sentence={errorAt(refusal?.field ?? '')} />
      </View>
      <View style={sheet.buttons}>
        <Button
          word={`${amountOf(back, part)} back`}
          label={`Put ${amountOf(back, part)} ${part.name} back`}
          onPress={() => void putBack()}
        />
        <Button word="Other amount" label={`Other amount of ${part.name}, put back`} onPress={() => onOther(taken)} />
      </View>
    </View>
  );
}

interface ReturnProps {
  readonly work: WorkOrder;
  readonly taken: TakenPart;
  readonly part: Part;
  readonly onClose: () => void;
}

/** How much goes back, and into which bin. */
export function ReturnSheet({ work, taken, part, onClose }: ReturnProps): ReactElement {
  const stock = useStockOf(part.id, work.siteId);
  const { form, submit, refusal } = useOperationForm({
    operation: 'part.return',
    about: `${work.id} ${part.id}`,
    defaultValues: { quantity: formatQuantity(taken.quantity), binId: taken.binId },
    read: ({ quantity: typed, binId }) => {
      const quantity = parseQuantity(typed);
      if (quantity === undefined) return { unreadable: 'quantity', hint: AMOUNT_HINT };
      return { args: { workOrderId: work.id, partId: part.id, binId, quantity } };
    },
    said: ({ quantity }) => `${amountOf(quantity, part)} ${part.name} put back.`,
    onDone: onClose,
  });
  const chosen = form.watch('binId');
  return (
    <BottomSheet
      title="Put back"
      aside={part.name}
      onClose={onClose}
      foot={<Button rank="primary" word="Put it back" onPress={submit} />}
    >
      <FormField control={form.control} name="quantity" label={`Amount in ${part.unit}`} keyboard="decimal-pad" />
      <Choices label="Into">
        {stock.map(({ binId }) => (
          <BinChoice
            key={binId}
            binId={binId}
            isChosen={binId === chosen}
            onPress={() => form.setValue('binId', binId)}
          />
        ))}
      </Choices>
      <FormRefusal sentence={refusal ?? form.formState.errors.binId?.message ?? null} />
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 8,
    borderBottomWidth: 1,
    paddingVertical: 8,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 140, minWidth: 0 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', flexShrink: 1, minWidth: 0, gap: 8 },
});
