import type { ReactElement } from 'react';
import { formatQuantity, parseQuantity, type StoreId, type Thousandths } from '@oilcan/core/kernel';
import type { StoreRequest } from '@oilcan/core/stores/requests';
import type { Part } from '@oilcan/core/stores/stock';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { AMOUNT_HINT } from '../../../forms/typed-words';
import { useOperationForm } from '../../../forms/use-operation-form';
import { Choice, Choices } from '../../../ui/fields/choice';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { useElsewhere } from './use-elsewhere';

interface Props {
  readonly part: Part;
  readonly quantity: Thousandths;
  /** The store that needs it. */
  readonly toStoreId: StoreId;
  /** For which it is; null for the store itself. */
  readonly request: Pick<StoreRequest, 'id' | 'workOrderId'> | null;
  readonly onClose: () => void;
}

/** Asks another store to send a part. */
export function AskElsewhereSheet({ part, quantity: wanted, toStoreId, request, onClose }: Props): ReactElement {
  const elsewhere = useElsewhere(part.id, toStoreId);
  const [first] = elsewhere;
  const { form, submit, refusal } = useOperationForm({
    operation: 'transfer.ask',
    about: `${part.id} ${toStoreId} ${request?.id ?? ''}`,
    defaultValues: { quantity: formatQuantity(wanted), fromStoreId: '', note: '' },
    read: ({ quantity: typed, fromStoreId, note }) => {
      const quantity = parseQuantity(typed);
      const from = elsewhere.find(({ store }) => store.id === fromStoreId) ?? first;
      if (quantity === undefined) return { unreadable: 'quantity', hint: AMOUNT_HINT };
      if (from === undefined) return { unreadable: 'fromStoreId', hint: 'No other store has it.' };
      return {
        args: {
          fromStoreId: from.store.id,
          toStoreId,
          partId: part.id,
          quantity,
          workOrderId: request?.workOrderId ?? null,
          requestId: request?.id ?? null,
          note: note.trim(),
        },
      };
    },
    said: ({ quantity, fromStoreId }) => {
      const name = elsewhere.find(({ store }) => store.id === fromStoreId)?.store.name ?? 'the other store';
      return `Asked ${name} for ${amountOf(quantity, part)} ${part.name}.`;
    },
    onDone: onClose,
  });
  const chosen = form.watch('fromStoreId');
  return (
    <BottomSheet
      title="Have it sent"
      aside={part.name}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word="Ask for it"
          cannot={first === undefined && 'No other store that you see has it.'}
          onPress={submit}
        />
      }
    >
      {first === undefined ? (
        <AppText>No other store that you see has it.</AppText>
      ) : (
        <Choices label="From where">
          {elsewhere.map(({ store, onHand, site }) => (
            <Choice
              key={store.id}
              word={`${store.name}${site === null ? '' : `, ${site}`}: ${amountOf(onHand, part)}`}
              isChosen={(chosen === '' ? first.store.id : chosen) === store.id}
              onPress={() => form.setValue('fromStoreId', store.id)}
            />
          ))}
        </Choices>
      )}
      <FormField control={form.control} name="quantity" label={`How many, in ${part.unit}`} keyboard="decimal-pad" />
      <FormField control={form.control} name="note" label="What they should know" onEnter={submit} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
