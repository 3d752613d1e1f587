import { useState, type ReactElement } from 'react';
import type { Receipt } from '@oilcan/core/recording/expenses';
import { formatMoney, parseMoney } from '@oilcan/core/kernel';
import { toolCost } from '@oilcan/core/recording/tools';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { now, useSettings } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { MoneyField } from '../../../forms/money-field';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { CostCentreChoice, PaperButton, usePaper } from '../expenses';
import { noTime, readTime, TimeFields } from '../labor';
import { MONEY_HINT } from '../../../forms/typed-words';

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** A tool that costs by the hour: from when to when, or how long. */
export function ToolSheet({ work, onClose }: Props): ReactElement | null {
  const settings = useSettings(work.siteId);
  const currency = settings?.currency ?? 'EUR';
  const zone = settings?.zone ?? 'utc';
  const [present] = useState(now);
  const { form, submit, refusal } = useOperationForm({
    operation: 'tool.add',
    about: work.id,
    defaultValues: { ...noTime, words: '', rate: '', centre: null as string | null, receipt: null as Receipt | null },
    fieldOf: (argument) =>
      argument === 'minutes'
        ? 'duration'
        : argument === 'startedAt'
          ? 'start'
          : argument === 'rateMinor'
            ? 'rate'
            : (argument as 'words'),
    read: ({ words, rate, centre, receipt, ...typed }) => {
      const time = readTime(typed, present, zone);
      if (!time.ok) return { unreadable: time.field, hint: time.sentence };
      const perHour = parseMoney(rate, currency);
      if (perHour === undefined) return { unreadable: 'rate', hint: MONEY_HINT };
      const charged = centre === null ? {} : { costCentre: centre };
      const { startedAt, minutes } = time;
      const args = { workOrderId: work.id, words, startedAt, minutes, rateMinor: perHour.minor, currency };
      return { args: { ...args, receipt, ...charged } };
    },
    said: 'Tool kept.',
    onDone: onClose,
  });
  const paper = usePaper(form.watch('receipt'), (taken) => form.setValue('receipt', taken));
  if (settings === undefined) return null;
  const values = form.watch();
  const read = readTime(values, present, zone);
  const perHour = parseMoney(values.rate, currency);
  return (
    <BottomSheet
      title="Tool by the hour"
      aside={work.number}
      onClose={onClose}
      foot={
        <>
          <PaperButton paper={paper} />
          <Button rank="primary" word="Keep the tool" onPress={submit} />
        </>
      }
    >
      {work.tools.length === 0 ? null : (
        <Choices label="Planned here">
          {work.tools.map(({ name }) => (
            <Choice
              key={name}
              word={name}
              isChosen={values.words === name}
              onPress={() => form.setValue('words', name)}
            />
          ))}
        </Choices>
      )}
      <FormField control={form.control} name="words" label="Which tool" autoFocus />
      <MoneyField control={form.control} name="rate" label="An hour costs" currency={currency} />
      <TimeFields form={form} present={present} zone={zone} language={settings.language} onEnter={submit} />
      {read.ok && read.minutes > 0 && perHour !== undefined ? (
        <AppText soft>It costs {formatMoney(toolCost(read.minutes, perHour), settings.language)}.</AppText>
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
