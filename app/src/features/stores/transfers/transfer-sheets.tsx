import { useMemo, type ReactElement } from 'react';
import { formatQuantity, parseQuantity, type BinId, type StoreId } from '@oilcan/core/kernel';
import { compareByWalk, type Bin, type Part } from '@oilcan/core/stores/stock';
import { inTransit, transferState, type Transfer } from '@oilcan/core/stores/transfers';
import { peekRow, useRow, useRows, useTable } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { ReasonField } from '../../../forms/reason-field';
import { AMOUNT_HINT } from '../../../forms/typed-words';
import { useOperationForm } from '../../../forms/use-operation-form';
import { Choice, Choices } from '../../../ui/fields/choice';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';

interface Props {
  readonly transfer: Transfer;
  readonly part: Part;
  readonly onClose: () => void;
}

/** The bins of a store: those first in which the part lies, then the others in the order of the walk. */
function useBinsOf(storeId: StoreId, part: Part): { readonly withIt: readonly Bin[]; readonly others: readonly Bin[] } {
  const bins = useTable('bins');
  const levels = useRows('stock', 'part', part.id);
  return useMemo(() => {
    const there = new Map(levels.map(({ binId, onHand }) => [binId, onHand]));
    const ofStore = bins
      .filter((bin) => bin.storeId === storeId)
      .sort((a, b) => compareByWalk({ store: undefined, bin: a }, { store: undefined, bin: b }));
    const withIt = ofStore
      .filter(({ id }) => there.has(id))
      .sort((a, b) => (there.get(b.id) ?? 0) - (there.get(a.id) ?? 0));
    return { withIt, others: ofStore.filter(({ id }) => !there.has(id)) };
  }, [bins, levels, storeId]);
}

interface BinFieldProps {
  readonly bins: ReturnType<typeof useBinsOf>;
  readonly part: Part;
  readonly chosen: BinId | null;
  readonly onChoose: (id: BinId) => void;
}

const OTHERS_SHOWN = 8;

function BinField({ bins: { withIt, others }, part, chosen, onChoose }: BinFieldProps): ReactElement {
  const shown = withIt.length > 0 ? withIt : others.slice(0, OTHERS_SHOWN);
  return shown.length === 0 ? (
    <AppText>This store has no bin.</AppText>
  ) : (
    <Choices label="Bin">
      {shown.map((bin) => {
        const onHand = peekRow('stock', `${part.id}@${bin.id}`)?.onHand;
        return (
          <Choice
            key={bin.id}
            word={`Bin ${bin.label}${onHand === undefined ? ', empty' : `, ${amountOf(onHand, part)}`}`}
            isChosen={bin.id === chosen}
            onPress={() => onChoose(bin.id)}
          />
        );
      })}
    </Choices>
  );
}

/** What another store asked for goes out of a bin. */
export function SendSheet({ transfer, part, onClose }: Props): ReactElement {
  const bins = useBinsOf(transfer.fromStoreId, part);
  const to = useRow('stores', transfer.toStoreId);
  const { form, submit, refusal } = useOperationForm({
    operation: 'transfer.send',
    about: transfer.id,
    defaultValues: {
      quantity: formatQuantity(transfer.quantity),
      binId: (bins.withIt[0]?.id ?? null) as BinId | null,
      along: '',
    },
    read: ({ quantity: typed, binId, along }) => {
      const quantity = parseQuantity(typed);
      if (quantity === undefined) return { unreadable: 'quantity', hint: AMOUNT_HINT };
      if (binId === null) return { unreadable: 'binId', hint: 'Choose the bin it is from.' };
      return { args: { transferId: transfer.id, binId, quantity, along: along.trim() } };
    },
    said: ({ quantity }) => `${amountOf(quantity, part)} ${part.name} on the way to ${to?.name ?? 'the other store'}.`,
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="Send it"
      aside={part.name}
      onClose={onClose}
      foot={<Button rank="primary" word="It is on its way" onPress={submit} />}
    >
      <FormField control={form.control} name="quantity" label={`Amount in ${part.unit}`} keyboard="decimal-pad" />
      <BinField bins={bins} part={part} chosen={form.watch('binId')} onChoose={(id) => form.setValue('binId', id)} />
      <FormField control={form.control} name="along" label="Who or what takes it along" onEnter={submit} />
      <FormRefusal sentence={refusal ?? form.formState.errors.binId?.message ?? null} />
    </BottomSheet>
  );
}

/** What was on the way is here: all of it, or what came of it. */
export function ArriveSheet({ transfer, part, onClose }: Props): ReactElement {
  const bins = useBinsOf(transfer.toStoreId, part);
  const left = inTransit(transfer);
  const { form, submit, refusal } = useOperationForm({
    operation: 'transfer.arrive',
    about: `${transfer.id} ${left}`,
    defaultValues: { quantity: formatQuantity(left), binId: (bins.withIt[0]?.id ?? null) as BinId | null },
    read: ({ quantity: typed, binId }) => {
      const quantity = parseQuantity(typed);
      if (quantity === undefined) return { unreadable: 'quantity', hint: AMOUNT_HINT };
      if (binId === null) return { unreadable: 'binId', hint: 'Choose the bin it goes into.' };
      return { args: { transferId: transfer.id, binId, quantity } };
    },
    said: ({ quantity, binId }) =>
      `${amountOf(quantity, part)} ${part.name} in bin ${peekRow('bins', binId)?.label ?? ''}.`,
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="It is here"
      aside={part.name}
      onClose={onClose}
      foot={<Button rank="primary" word="Put it into the bin" onPress={submit} />}
    >
      <AppText soft>
        {amountOf(left, part)} are on the way. What does not come stays on the way until somebody writes it off.
      </AppText>
      <FormField control={form.control} name="quantity" label={`Came, in ${part.unit}`} keyboard="decimal-pad" />
      <BinField bins={bins} part={part} chosen={form.watch('binId')} onChoose={(id) => form.setValue('binId', id)} />
      <FormRefusal sentence={refusal ?? form.formState.errors.binId?.message ?? null} />
    </BottomSheet>
  );
}

/** What was asked for is not sent; what is on the way is written off. */
export function NotComingSheet(props: Props): ReactElement {
  return transferState(props.transfer) === 'inTransit' ? <WriteOffSheet {...props} /> : <CloseSheet {...props} />;
}

function WriteOffSheet({ transfer, part, onClose }: Props): ReactElement {
  const left = inTransit(transfer);
  const { form, submit, refusal } = useOperationForm({
    operation: 'transfer.write-off',
    about: `${transfer.id} ${left}`,
    defaultValues: { reason: '' },
    read: ({ reason }) => ({ args: { transferId: transfer.id, quantity: left, reason: reason.trim() } }),
    said: `${amountOf(left, part)} ${part.name} written off.`,
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="It does not come"
      aside={part.name}
      onClose={onClose}
      foot={<Button rank="final" word={`Write off ${amountOf(left, part)}`} onPress={submit} />}
    >
      <AppText>What is on the way belongs to no bin. Written off, it is gone from the books.</AppText>
      <ReasonField
        form={form}
        label="Why"
        usual={['Lost on the way', 'Broken on the way', 'Sent by mistake']}
        onEnter={submit}
      />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

function CloseSheet({ transfer, part, onClose }: Props): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'transfer.close',
    about: transfer.id,
    defaultValues: { reason: '' },
    read: ({ reason }) => ({ args: { transferId: transfer.id, reason: reason.trim() } }),
    said: 'Nothing is sent.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="It does not come"
      aside={part.name}
      onClose={onClose}
      foot={<Button rank="primary" word="Nothing is sent" onPress={submit} />}
    >
      <ReasonField
        form={form}
        label="Why"
        usual={['Not needed any more', 'We need it here', 'None left']}
        onEnter={submit}
      />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
