import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatQuantity, parseQuantity, type BinId, type SiteId } from '@oilcan/core/kernel';
import type { Part, StockLevel } from '@oilcan/core/stock';
import type { WorkOrder } from '@oilcan/core/work';
import { useRow } from '../../data/store';
import { FormField } from '../../forms/form-field';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Button, Choice, Choices } from '../../ui/press';
import { Words } from '../../ui/words';
import { useStockOf } from '../../data/stock';
import { amountOf } from '../../words/amounts';
import { mdiArrowLeft } from '@mdi/js';

interface Props {
  readonly work: WorkOrder;
  readonly part: Part;
  readonly onBack: () => void;
  readonly onClose: () => void;
}

/** How much of a part was used, and out of which bin. */
export function AmountSheet({ work, part, onBack, onClose }: Props): ReactElement {
  const stock = useStockOf(part.id, work.siteId);
  const successor = useRow('parts', part.successorId);
  const { form, submit, refusal } = useOperationForm({
    operation: 'part.use',
    defaultValues: { quantity: '1', binId: null as BinId | null },
    read: ({ quantity: typed, binId: from }) => {
      const amount = parseQuantity(typed);
      const bin = from ?? stock[0]?.binId;
      if (amount === undefined || bin === undefined)
        return { unreadable: 'quantity', hint: 'Write an amount, such as 2 or 0.5.' };
      return { args: { workOrderId: work.id, partId: part.id, binId: bin, quantity: amount } };
    },
    said: (args) => `${amountOf(args.quantity, part)} ${part.name} kept.`,
    onDone: onClose,
  });
  const [text, chosenBin] = form.watch(['quantity', 'binId']);
  const binId = chosenBin ?? stock[0]?.binId;
  const quantity = parseQuantity(text);
  const step = (by: number): void => form.setValue('quantity', formatQuantity(Math.max(0, (quantity ?? 0) + by)));
  return (
    <BottomSheet
      title={part.name}
      aside={part.number}
      onClose={onClose}
      foot={
        <Button
          main
          disabled={binId === undefined}
          word={`Use ${quantity === undefined ? '' : amountOf(quantity, part)}`}
          onPress={submit}
        />
      }
    >
      {part.isObsolete ? (
        <Words>
          No longer bought.{successor === undefined ? '' : ` Its successor is ${successor.number}, ${successor.name}.`}
        </Words>
      ) : null}
      <View style={sheet.amount}>
        <Button word="−" label="One less" onPress={() => step(-1000)} />
        <View style={sheet.words}>
          <FormField control={form.control} name="quantity" label={`Amount in ${part.unit}`} keyboard="decimal-pad" />
        </View>
        <Button word="+" label="One more" onPress={() => step(1000)} />
      </View>
      <FormRefusal sentence={refusal} />
      {stock.length === 0 ? <Words>No bin holds this part.</Words> : null}
      <Choices label="Bin">
        {stock.map((level) => (
          <BinChoice
            key={level.binId}
            level={level}
            siteId={work.siteId}
            words={amountOf(level.onHand, part)}
            isChosen={binId === level.binId}
            onChoose={(id) => form.setValue('binId', id)}
          />
        ))}
      </Choices>
      <Button word="Back to the list" icon={mdiArrowLeft} onPress={onBack} />
    </BottomSheet>
  );
}

function BinChoice({
  level: { binId, siteId: ofSite },
  siteId,
  words,
  isChosen,
  onChoose,
}: {
  readonly level: Pick<StockLevel, 'binId' | 'siteId'>;
  readonly siteId: SiteId;
  readonly words: string;
  readonly isChosen: boolean;
  readonly onChoose: (binId: BinId) => void;
}): ReactElement {
  const bin = useRow('bins', binId);
  const store = useRow('stores', bin?.storeId);
  const site = useRow('sites', ofSite);
  return (
    <Choice
      word={`${store?.name ?? ''} ${bin?.label ?? ''}${ofSite === siteId ? '' : `, ${site?.name ?? 'another site'}`}: ${words}`}
      isChosen={isChosen}
      onPress={() => onChoose(binId)}
    />
  );
}

const sheet = StyleSheet.create({
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 140, minWidth: 0 },
  amount: { flexDirection: 'row', alignItems: 'flex-start', gap: 8 },
});
