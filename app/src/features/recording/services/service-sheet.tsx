import type { ReactElement } from 'react';
import type { Receipt } from '@oilcan/core/recording/expenses';
import { formatMoney, parseMoney } from '@oilcan/core/kernel';
import { arrivedPrice } from '@oilcan/core/recording/services';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useSettings } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { MoneyField } from '../../../forms/money-field';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { CostCentreChoice, PaperButton, usePaper } from '../expenses';
import { MONEY_HINT } from '../../../forms/typed-words';

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** Work of somebody from outside: what was agreed, and how much of it has arrived. */
export function ServiceSheet({ work, onClose }: Props): ReactElement {
  const settings = useSettings(work.siteId);
  const currency = settings?.currency ?? 'EUR';
  const { form, submit, refusal } = useOperationForm({
    operation: 'service.add',
    about: work.id,
    defaultValues: {
      words: '',
      supplier: '',
      price: '',
      arrived: '100',
      centre: null as string | null,
      receipt: null as Receipt | null,
    },
    fieldOf: (argument) =>
      argument === 'minor' ? 'price' : argument === 'arrivedPercent' ? 'arrived' : (argument as 'words'),
    read: ({ words, supplier, price, arrived, centre, receipt }) => {
      const money = parseMoney(price, currency);
      if (money === undefined) return { unreadable: 'price', hint: MONEY_HINT };
      const charged = centre === null ? {} : { costCentre: centre };
      const arrivedPercent = Number(arrived.replace('%', '').trim());
      const { minor } = money;
      const args = { workOrderId: work.id, words, supplier: supplier.trim(), minor, currency, arrivedPercent };
      return { args: { ...args, receipt, ...charged } };
    },
    said: 'Service kept.',
    onDone: onClose,
  });
  const paper = usePaper(form.watch('receipt'), (taken) => form.setValue('receipt', taken));
  const [price, arrived] = form.watch(['price', 'arrived']);
  const agreed = parseMoney(price, currency);
  const percent = Number(arrived);
  const isPart = agreed !== undefined && percent > 0 && percent < 100;
  return (
    <BottomSheet
      title="Outside service"
      aside={work.number}
      onClose={onClose}
      foot={
        <>
          <PaperButton paper={paper} />
          <Button rank="primary" word="Keep the service" onPress={submit} />
        </>
      }
    >
      <FormField control={form.control} name="words" label="What was done" autoFocus />
      <FormField control={form.control} name="supplier" label="By whom (may stay empty)" />
      <MoneyField control={form.control} name="price" label="Agreed" currency={currency} />
      <FormField control={form.control} name="arrived" label="Arrived so far, in percent" keyboard="decimal-pad" />
      {isPart ? (
        <AppText soft>
          It costs what arrived: {formatMoney(arrivedPrice(agreed, percent), settings?.language ?? 'en')}.
        </AppText>
      ) : null}
      <CostCentreChoice
        work={work}
        chosen={form.watch('centre')}
        onChange={(chosen) => form.setValue('centre', chosen)}
      />
      {paper.receipt === null ? null : <AppText soft>The photo of the paper goes with it.</AppText>}
      <FormRefusal sentence={paper.error ?? refusal} />
    </BottomSheet>
  );
}
