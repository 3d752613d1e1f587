import type { ReactElement } from 'react';
import { parseQuantity } from '@oilcan/core/kernel';
import type { Part, StockLevel } from '@oilcan/core/stores/stock';
import { useRow } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { AMOUNT_HINT } from '../../../forms/typed-words';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';

interface Props {
  readonly part: Part;
  readonly level: StockLevel;
  /** Whether what the books say is not shown. */
  readonly isBlind: boolean;
  /** What comes after this bin; null where it is the last. */
  readonly next: string | null;
  readonly onKept: () => void;
  readonly onClose: () => void;
}

/** How much lies in a bin: typed, kept, and on to the next one. */
export function CountSheet({ part, level, isBlind, next, onKept, onClose }: Props): ReactElement {
  const bin = useRow('bins', level.binId);
  const { form, submit, refusal } = useOperationForm({
    operation: 'count.keep',
    about: level.id,
    defaultValues: { quantity: '' },
    read: ({ quantity: typed }) => {
      const quantity = parseQuantity(typed);
      if (quantity === undefined) return { unreadable: 'quantity', hint: AMOUNT_HINT };
      return { args: { partId: part.id, binId: level.binId, quantity, books: level.onHand } };
    },
    said: ({ quantity }) => `${bin?.label ?? ''}: ${amountOf(quantity, part)} counted.`,
    onDone: onKept,
  });
  const counted = parseQuantity(form.watch('quantity'));
  const off = counted === undefined ? 0 : counted - level.onHand;
  return (
    <BottomSheet
      title={`Bin ${bin?.label ?? ''}`}
      aside={part.number}
      onClose={onClose}
      foot={
        <Button rank="primary" word={next === null ? 'Keep the count' : `Keep it, then ${next}`} onPress={submit} />
      }
    >
      <AppText as="heading">{part.name}</AppText>
      {isBlind ? null : <AppText soft>By the books {amountOf(level.onHand, part)}.</AppText>}
      <FormField
        control={form.control}
        name="quantity"
        label={`Counted, in ${part.unit}`}
        keyboard="decimal-pad"
        autoFocus
        onEnter={submit}
      />
      {isBlind || off === 0 ? null : (
        <AppText soft live>
          {amountOf(Math.abs(off), part)} {off > 0 ? 'more' : 'less'} than by the books.
        </AppText>
      )}
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
