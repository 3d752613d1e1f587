import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatQuantity, parseQuantity, type BinId, type SiteId } from '@oilcan/core/kernel';
import type { Part, StockLevel } from '@oilcan/core/stock';
import type { WorkOrder } from '@oilcan/core/work';
import { useRow } from '../../data/store';
import { useOperation } from '../../data/use-operation';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
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
  const { run, errorAt } = useOperation();
  const [text, setText] = useState('1');
  const [chosenBin, setChosenBin] = useState<BinId | null>(null);
  const [isUnreadable, setIsUnreadable] = useState(false);
  const binId = chosenBin ?? stock[0]?.binId;
  const quantity = parseQuantity(text);
  const keep = async (): Promise<void> => {
    setIsUnreadable(quantity === undefined);
    if (quantity === undefined || binId === undefined) return;
    const kept = `${amountOf(quantity, part)} ${part.name} kept.`;
    if (await run('part.use', { workOrderId: work.id, partId: part.id, binId, quantity }, kept)) onClose();
  };
  const step = (by: number): void => setText(formatQuantity(Math.max(0, (quantity ?? 0) + by)));
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
          onPress={() => void keep()}
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
          <Field
            label={`Amount in ${part.unit}`}
            value={text}
            onChange={setText}
            keyboard="decimal-pad"
            error={isUnreadable ? 'Write an amount, such as 2 or 0.5.' : errorAt('quantity')}
          />
        </View>
        <Button word="+" label="One more" onPress={() => step(1000)} />
      </View>
      {stock.length === 0 ? <Words>No bin holds this part.</Words> : null}
      <Choices label="Bin">
        {stock.map((level) => (
          <BinChoice
            key={level.binId}
            level={level}
            siteId={work.siteId}
            words={amountOf(level.onHand, part)}
            isChosen={binId === level.binId}
            onChoose={setChosenBin}
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
