import type { ReactElement } from 'react';
import type { Receipt } from '@oilcan/core/recording/expenses';
import { parseMoney } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useSettings } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { MoneyField } from '../../../forms/money-field';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { CostCentreChoice } from './cost-centre-choice';
import { PaperButton, usePaper } from './paper';
import { MONEY_HINT } from '../../../forms/typed-words';

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** Money that was laid out for the job, with a photo of the receipt if there is one. */
export function ExpenseSheet({ work, onClose }: Props): ReactElement {
  const currency = useSettings(work.siteId)?.currency ?? 'EUR';
  const { form, submit, refusal } = useOperationForm({
    operation: 'expense.add',
    about: work.id,
    defaultValues: { amount: '', words: '', centre: null as string | null, receipt: null as Receipt | null },
    fieldOf: (argument) => (argument === 'words' ? 'words' : 'amount'),
    read: ({ amount, words, centre, receipt }) => {
      const money = parseMoney(amount, currency);
      if (money === undefined) return { unreadable: 'amount', hint: MONEY_HINT };
      const charged = centre === null ? {} : { costCentre: centre };
      const { minor } = money;
      return { args: { workOrderId: work.id, minor, currency, words, receipt, ...charged } };
    },
    said: 'Expense kept.',
    onDone: onClose,
  });
  const paper = usePaper(form.watch('receipt'), (taken) => form.setValue('receipt', taken));
  return (
    <BottomSheet
      title="Expense"
      aside={work.number}
      onClose={onClose}
      foot={
        <>
          <PaperButton paper={paper} />
          <Button rank="primary" word="Keep the expense" onPress={submit} />
        </>
      }
    >
      <MoneyField control={form.control} name="amount" label="Amount" currency={currency} autoFocus />
      <FormField control={form.control} name="words" label="What for" />
      <CostCentreChoice
        work={work}
        chosen={form.watch('centre')}
        onChange={(chosen) => form.setValue('centre', chosen)}
      />
      {paper.receipt === null ? null : <AppText soft>The photo of the receipt goes with it.</AppText>}
      <FormRefusal sentence={paper.error ?? refusal} />
    </BottomSheet>
  );
}
