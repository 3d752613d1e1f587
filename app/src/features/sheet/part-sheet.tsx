import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatQuantity, parseQuantity, type BinId, type Part, type WorkOrder } from '@oilcan/core';
import { useOperation } from '../../data/use-operation';
import { useRow, useTable } from '../../data/store';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Button, Choice, Choices, Press } from '../../ui/press';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/words';
import { findParts } from '../stores/find-parts';
import { amountOf, useKitLines, useStockOf, type KitLine } from './kit';

const SHOWN_RESULTS = 8;

/** Planned parts, one press each as planned; any other by number or name. */
export function PartSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const kit = useKitLines(work);
  const parts = useTable('parts');
  const [find, setFind] = useState('');
  const [chosen, setChosen] = useState<Part | null>(null);
  const found = useMemo(() => findParts(parts, find).slice(0, SHOWN_RESULTS), [parts, find]);
  if (chosen !== null)
    return <AmountSheet work={work} part={chosen} onBack={() => setChosen(null)} onClose={onClose} />;
  return (
    <BottomSheet title="Part" onClose={onClose}>
      {kit.map((line) => (
        <PlannedRow key={line.planned.partId} work={work} line={line} onOther={setChosen} onClose={onClose} />
      ))}
      <Field
        label={kit.length === 0 ? 'Find a part: number or name' : 'Another part: number or name'}
        value={find}
        onChange={setFind}
        autoFocus={kit.length === 0}
      />
      {found.map((part) => (
        <FoundRow key={part.id} part={part} onChoose={() => setChosen(part)} />
      ))}
      {find !== '' && found.length === 0 ? <Words>No part fits “{find}”.</Words> : null}
    </BottomSheet>
  );
}

interface PlannedProps {
  readonly work: WorkOrder;
  readonly line: KitLine;
  readonly onOther: (part: Part) => void;
  readonly onClose: () => void;
}

function PlannedRow({ work, line, onOther, onClose }: PlannedProps): ReactElement | null {
  const palette = usePalette();
  const { run, errorAt } = useOperation();
  const part = useRow('parts', line.planned.partId);
  const bin = useRow('bins', line.planned.binId);
  if (part === undefined) return null;
  const use = async (): Promise<void> => {
    const { partId, binId } = line.planned;
    const kept = `${amountOf(line.left, part)} ${part.name} kept.`;
    if (await run('part.use', { workOrderId: work.id, partId, binId, quantity: line.left }, kept)) onClose();
  };
  return (
    <View style={[sheet.planned, { borderColor: palette.line }]}>
      <View style={sheet.words}>
        <Words>{part.name}</Words>
        <Words as="small" soft>
          {part.number} · {amountOf(line.onHand, part)} in bin {bin?.label}
          {line.used > 0 ? ` · ${amountOf(line.used, part)} used` : ''}
        </Words>
        {errorAt('quantity') === null ? null : (
          <Words as="small" color={palette.faulty} live>
            {errorAt('quantity')}
          </Words>
        )}
      </View>
      <View style={sheet.buttons}>
        {line.left > 0 ? (
          <Button
            main
            word={`Use ${amountOf(line.left, part)}`}
            label={`Use ${amountOf(line.left, part)} ${part.name}`}
            onPress={() => void use()}
          />
        ) : null}
        <Button word="Other" label={`Other amount of ${part.name}`} onPress={() => onOther(part)} />
      </View>
    </View>
  );
}

function FoundRow({ part, onChoose }: { readonly part: Part; readonly onChoose: () => void }): ReactElement {
  const palette = usePalette();
  const stock = useStockOf(part.id);
  const total = stock.reduce((sum, { onHand }) => sum + onHand, 0);
  return (
    <Press onPress={onChoose} style={[sheet.found, { borderColor: palette.line }]}>
      <Words>{part.name}</Words>
      <Words as="small" soft>
        {part.number} · {amountOf(total, part)} on hand{part.isObsolete ? ' · no longer bought' : ''}
      </Words>
    </Press>
  );
}

interface AmountProps {
  readonly work: WorkOrder;
  readonly part: Part;
  readonly onBack: () => void;
  readonly onClose: () => void;
}

function AmountSheet({ work, part, onBack, onClose }: AmountProps): ReactElement {
  const stock = useStockOf(part.id);
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
            binId={level.binId}
            words={amountOf(level.onHand, part)}
            isChosen={binId === level.binId}
            onChoose={setChosenBin}
          />
        ))}
      </Choices>
      <Button word="Back to the list" icon="back" onPress={onBack} />
    </BottomSheet>
  );
}

function BinChoice({
  binId,
  words,
  isChosen,
  onChoose,
}: {
  readonly binId: BinId;
  readonly words: string;
  readonly isChosen: boolean;
  readonly onChoose: (binId: BinId) => void;
}): ReactElement {
  const bin = useRow('bins', binId);
  const store = useRow('stores', bin?.storeId);
  return (
    <Choice
      word={`${store?.name ?? ''} ${bin?.label ?? ''}: ${words}`}
      isChosen={isChosen}
      onPress={() => onChoose(binId)}
    />
  );
}

const sheet = StyleSheet.create({
  planned: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 8,
    borderBottomWidth: 1,
    paddingVertical: 8,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 140, minWidth: 0 },
  buttons: { flexDirection: 'row', gap: 8 },
  found: { borderBottomWidth: 1, paddingVertical: 8 },
  amount: { flexDirection: 'row', alignItems: 'flex-start', gap: 8 },
});
