import { useState, type ReactElement } from 'react';
import { formatMoney, formatQuantity, parseMoney, parseQuantity } from '@oilcan/core/kernel';
import { partCost, wantsCount, type Part, type StockLevel } from '@oilcan/core/stores/stock';
import { useUnitPrices } from '../../../data/queries/stock';
import { useRow, useSettings } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { MoneyField } from '../../../forms/money-field';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { MONEY_HINT } from '../../../forms/typed-words';

interface Props {
  readonly part: Part;
  readonly level: StockLevel;
  readonly onClose: () => void;
}

/** A part in a bin, for whoever keeps the store: how much is counted there, or what came in. */
export function BinSheet(props: Props): ReactElement {
  const [isReceipt, setIsReceipt] = useState(false);
  const switches = (
    <Choices label="What happened">
      <Choice word="Counted" isChosen={!isReceipt} onPress={() => setIsReceipt(false)} />
      <Choice word="Came in" isChosen={isReceipt} onPress={() => setIsReceipt(true)} />
    </Choices>
  );
  return isReceipt ? <Receipt {...props} switches={switches} /> : <Count {...props} switches={switches} />;
}

interface PaneProps extends Props {
  readonly switches: ReactElement;
}

const HOW_MUCH = 'Write an amount, such as 2 or 0.5.';

function Count({ part, level, switches, onClose }: PaneProps): ReactElement {
  const bin = useRow('bins', level.binId);
  const { form, submit, refusal } = useOperationForm({
    operation: 'stock.count',
    about: level.id,
    defaultValues: { quantity: '' },
    read: ({ quantity: typed }) => {
      const quantity = parseQuantity(typed);
      if (quantity === undefined) return { unreadable: 'quantity', hint: HOW_MUCH };
      return { args: { partId: part.id, binId: level.binId, quantity } };
    },
    said: ({ quantity }) => `${amountOf(quantity, part)} counted.`,
    onDone: onClose,
  });
  const counted = parseQuantity(form.watch('quantity'));
  const off = counted === undefined ? 0 : counted - level.onHand;
  return (
    <BottomSheet
      title={`Bin ${bin?.label ?? ''}`}
      aside={part.name}
      onClose={onClose}
      foot={<Button rank="primary" word="Keep the count" onPress={submit} />}
    >
      {switches}
      <AppText>
        By the books {amountOf(level.onHand, part)}.
        {wantsCount(level) ? ' More was taken than was there: count it.' : ''}
      </AppText>
      <FormField
        control={form.control}
        name="quantity"
        label={`Counted, in ${part.unit}`}
        keyboard="decimal-pad"
        autoFocus
      />
      {counted === undefined || off === 0 ? null : (
        <AppText soft live>
          {amountOf(Math.abs(off), part)} {off > 0 ? 'more' : 'less'} than by the books.
        </AppText>
      )}
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

function Receipt({ part, level, switches, onClose }: PaneProps): ReactElement {
  const bin = useRow('bins', level.binId);
  const settings = useSettings(level.siteId);
  const unitPrice = useUnitPrices()(part, level.siteId);
  const currency = settings?.currency ?? 'EUR';
  const language = settings?.language ?? 'en';
  const { form, submit, refusal } = useOperationForm({
    operation: 'stock.receive',
    about: level.id,
    defaultValues: { quantity: '', price: '' },
    fieldOf: (argument) => (argument === 'unitPriceMinor' ? 'price' : 'quantity'),
    read: ({ quantity: typed, price }) => {
      const quantity = parseQuantity(typed);
      if (quantity === undefined) return { unreadable: 'quantity', hint: HOW_MUCH };
      const money = parseMoney(price, currency);
      if (money === undefined) return { unreadable: 'price', hint: MONEY_HINT };
      return { args: { partId: part.id, binId: level.binId, quantity, unitPriceMinor: money.minor } };
    },
    said: ({ quantity }) => `${amountOf(quantity, part)} came in.`,
    onDone: onClose,
  });
  const present = unitPrice === undefined ? '' : formatMoney(partCost(1000, unitPrice), language);
  return (
    <BottomSheet
      title={`Bin ${bin?.label ?? ''}`}
      aside={part.name}
      onClose={onClose}
      foot={<Button rank="primary" word="Keep the receipt" onPress={submit} />}
    >
      {switches}
      <FormField
        control={form.control}
        name="quantity"
        label={`Came in, in ${part.unit}`}
        keyboard="decimal-pad"
        autoFocus
      />
      <MoneyField control={form.control} name="price" label={`Price of one ${part.unit}`} currency={currency} />
      <AppText as="small" soft>
        One {part.unit} is {present} now, with {formatQuantity(Math.max(0, level.onHand))} in this bin. The price
        becomes the average of what is there and what came.
      </AppText>
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
