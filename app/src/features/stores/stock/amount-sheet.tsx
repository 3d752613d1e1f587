import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiArrowLeft, mdiTrayArrowDown } from '@mdi/js';
import { formatQuantity, parseQuantity, type BinId, type SiteId, type Thousandths } from '@oilcan/core/kernel';
import {
  plannedAmount,
  questionsAbout,
  type AmountQuestion,
  type Part,
  type StockLevel,
} from '@oilcan/core/stores/stock';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow, useRows } from '../../../data/store/store';
import { useStockOf } from '../../../data/queries/stock';
import { useOperation } from '../../../data/store/use-operation';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { takenParts, type TakenPart } from './taken-parts';
import { HAZARDS_FIRST } from './words';
import { comesOutOf, noNumbers, NumberedPart, unsaidOf } from './numbered-part';
import { AMOUNT_HINT } from '../../../forms/typed-words';

interface Props {
  readonly work: WorkOrder;
  readonly part: Part;
  /** What was going to be used, where it was not typed here. */
  readonly first?: { readonly quantity: Thousandths; readonly binId: BinId };
  /** What such jobs took in the middle; null where nothing is known. */
  readonly usual: Thousandths | null;
  /** Whether the hazards were read, so that something may be taken. */
  readonly isPrepared: boolean;
  readonly onOther: (part: Part) => void;
  readonly onPutBack: (taken: TakenPart) => void;
  readonly onClose: () => void;
}

/** How much of a part was used, or will be, out of which bin, and of what has numbers what goes in and what comes out. */
export function AmountSheet({
  work,
  part,
  first,
  usual,
  isPrepared,
  onOther,
  onPutBack,
  onClose,
}: Props): ReactElement {
  const stock = useStockOf(part.id, work.siteId);
  const successor = useRow('parts', part.successorId);
  const isInstalled = useRows('installations', 'asset', work.assetId).some(({ partId }) => partId === part.id);
  const hasNumbers = part.isNumbered === true || isInstalled;
  const [confirmed, setConfirmed] = useState<Thousandths | null>(null);
  const { form, submit, refusal } = useOperationForm({
    operation: 'part.use',
    about: `${work.id} ${part.id}`,
    defaultValues: {
      quantity: formatQuantity(first?.quantity ?? 1000),
      binId: first?.binId ?? (null as BinId | null),
      goesIn: noNumbers,
    },
    read: ({ quantity: typed, binId: from, goesIn: numbers }) => {
      const amount = parseQuantity(typed);
      const bin = from ?? stock[0]?.binId;
      if (amount === undefined || bin === undefined) return { unreadable: 'quantity', hint: AMOUNT_HINT };
      const serial = numbers.serialIn.trim();
      const comesOut = hasNumbers ? comesOutOf(numbers, part, work.assetId) : null;
      return {
        args: {
          workOrderId: work.id,
          assetId: work.assetId,
          partId: part.id,
          binId: bin,
          quantity: amount,
          ...(serial === '' ? {} : { goesIn: { assetId: work.assetId, serial } }),
          ...(comesOut === null ? {} : { comesOut }),
        },
      };
    },
    said: (args) => `${amountOf(args.quantity, part)} ${part.name} kept.`,
    onDone: onClose,
  });
  const [text, chosenBin, numbers] = form.watch(['quantity', 'binId', 'goesIn']);
  const unsaid = hasNumbers ? unsaidOf(numbers, isInstalled) : null;
  const binId = chosenBin ?? stock[0]?.binId;
  const quantity = parseQuantity(text);
  const step = (by: number): void => form.setValue('quantity', formatQuantity(Math.max(0, (quantity ?? 0) + by)));
  const onHand = stock.find((level) => level.binId === binId)?.onHand ?? 0;
  const planned = work.kit.find(({ partId }) => partId === part.id)?.quantity ?? null;
  const questions = quantity === undefined ? [] : questionsAbout(quantity, { onHand, usual, planned });
  const isAsking = questions.length > 0 && confirmed !== quantity;
  const amount = quantity === undefined ? '' : amountOf(quantity, part);
  const taken = takenParts(useRows('entries', 'workOrder', work.id)).find(({ partId }) => partId === part.id);
  const plan = useOperation();
  const planIt = async (): Promise<void> => {
    if (binId === undefined || quantity === undefined) return;
    const lines = work.kit.filter((each) => each.partId === part.id && each.binId === binId);
    const before = plannedAmount(lines, part);
    const altogether = quantity + (before?.unit === part.unit ? before.quantity : 0);
    const args = { workOrderId: work.id, partId: part.id, binId, quantity: altogether };
    if (await plan.run('part.plan', args, `${work.number} needs ${amountOf(altogether, part)} ${part.name}.`)) {
      form.reset();
      onClose();
    }
  };
  return (
    <BottomSheet
      title={part.name}
      aside={part.number}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          cannot={!isPrepared ? HAZARDS_FIRST : binId === undefined ? 'Choose first which bin it is from.' : unsaid}
          word={isAsking ? `Yes, ${amount}` : `Use ${amount}`}
          onPress={() => {
            setConfirmed(quantity ?? null);
            submit();
          }}
        />
      }
    >
      {part.isObsolete ? (
        <View style={sheet.obsolete}>
          <AppText>
            No longer bought.
            {successor === undefined ? '' : ` Its successor is ${successor.number}, ${successor.name}.`}
          </AppText>
          {successor === undefined ? null : (
            <Button word={`Take ${successor.number} in its place`} onPress={() => onOther(successor)} />
          )}
        </View>
      ) : null}
      <View style={sheet.amount}>
        <Button word="−" label="One less" isRepeatable onPress={() => step(-1000)} />
        <View style={sheet.words}>
          <FormField control={form.control} name="quantity" label={`Amount in ${part.unit}`} keyboard="decimal-pad" />
        </View>
        <Button word="+" label="One more" isRepeatable onPress={() => step(1000)} />
      </View>
      {isAsking ? <Questions questions={questions} onHand={onHand} usual={usual ?? planned} part={part} /> : null}
      <FormRefusal
        sentence={refusal ?? form.formState.errors.binId?.message ?? plan.errorAt(plan.refusal?.field ?? '') ?? null}
      />
      {stock.length === 0 ? <AppText>No bin holds this part.</AppText> : null}
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
      {hasNumbers ? <NumberedPart work={work} part={part} stock={stock} control={form.control} name="goesIn" /> : null}
      {unsaid === null ? null : <AppText as="label">{unsaid}</AppText>}
      {taken === undefined ? null : (
        <Button
          word={`Put some of ${amountOf(taken.quantity, part)} back`}
          icon={mdiTrayArrowDown}
          onPress={() => onPutBack(taken)}
        />
      )}
      <Button
        rank="quiet"
        word="Only plan it for this job"
        cannot={
          binId === undefined
            ? 'Choose first which bin it is from.'
            : quantity === undefined && 'Write an amount first.'
        }
        onPress={() => void planIt()}
      />
      <Button rank="quiet" word="Back to the list" icon={mdiArrowLeft} onPress={onClose} />
    </BottomSheet>
  );
}

interface QuestionsProps {
  readonly questions: readonly AmountQuestion[];
  readonly onHand: Thousandths;
  readonly usual: Thousandths | null;
  readonly part: Part;
}

/** What is asked before such an amount is kept. */
function Questions({ questions, onHand, usual, part }: QuestionsProps): ReactElement {
  const said: Readonly<Record<AmountQuestion, string>> = {
    farMoreThanUsual:
      usual === null
        ? 'That is a lot. Is it right?'
        : `That is far more than such jobs take (${amountOf(usual, part)}). Is it right?`,
    moreThanThere: `By the books the bin holds only ${amountOf(Math.max(0, onHand), part)}. Take it all the same, and the store is told to count.`,
  };
  return (
    <View role="alert">
      {questions.map((question) => (
        <AppText key={question}>{said[question]}</AppText>
      ))}
    </View>
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
  obsolete: { gap: 8 },
});
