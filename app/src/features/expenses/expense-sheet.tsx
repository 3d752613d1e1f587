import { useState, type ReactElement } from 'react';
import { parseMoney } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/work';
import { useSettings } from '../../data/store';
import { FormField } from '../../forms/form-field';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { CostCentreChoice } from './cost-centre-choice';
import { PaperButton, usePaper } from './paper';

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** Money that was laid out for the job, with a photo of the receipt if there is one. */
export function ExpenseSheet({ work, onClose }: Props): ReactElement {
  const currency = useSettings(work.siteId)?.currency ?? 'EUR';
  const paper = usePaper();
  const [centre, setCentre] = useState<string | null>(null);
  const { form, submit, refusal } = useOperationForm({
    operation: 'expense.add',
    defaultValues: { amount: '', words: '' },
    fieldOf: (argument) => (argument === 'words' ? 'words' : 'amount'),
    read: ({ amount, words }) => {
      const money = parseMoney(amount, currency);
      if (money === undefined) return { unreadable: 'amount', hint: 'Write an amount, such as 12.50.' };
      const charged = centre === null ? {} : { costCentre: centre };
      const { minor } = money;
      return { args: { workOrderId: work.id, minor, currency, words, receipt: paper.receipt, ...charged } };
    },
    said: 'Expense kept.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="Expense"
      aside={work.number}
      onClose={onClose}
      foot={
        <>
          <PaperButton paper={paper} />
          <Button main word="Keep the expense" onPress={submit} />
        </>
      }
    >
      <FormField
        control={form.control}
        name="amount"
        label={`Amount in ${currency}`}
        keyboard="decimal-pad"
        autoFocus
      />
      <FormField control={form.control} name="words" label="What for" />
      <CostCentreChoice work={work} chosen={centre} onChange={setCentre} />
      {paper.receipt === null ? null : <Words soft>The photo of the receipt goes with it.</Words>}
      <FormRefusal sentence={paper.error ?? refusal} />
    </BottomSheet>
  );
}
