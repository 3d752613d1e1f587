import { useMemo, useState, type ReactElement } from 'react';
import { PeopleChoice } from '../../../forms/people-choice';
import { usePeopleOf, workers } from '../../../data/queries/use-people-of';
import type { PersonId, WorkOrderId } from '@oilcan/core/kernel';
import { WhatIsKnown, type Report } from '@oilcan/core/raising/reports';
import { isOpen } from '@oilcan/core/orders/work';
import { peekAll, peekRow, useTable } from '../../../data/store/store';
import { performOrSay, useOperation } from '../../../data/store/use-operation';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { ReasonField } from '../../../forms/reason-field';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { useNotice } from '../../../ui/state/use-notice';
import { AppText } from '../../../ui/theme/app-text';
import { stateOf } from '../../../words/work-words';
import { WhereField } from '../raise';

interface Props {
  readonly report: Report;
  readonly onClose: () => void;
}

/** Something is asked back: the reporter sees it, and their answer brings the report back. */
export function AskSheet({ report, onClose }: Props): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'report.ask',
    about: report.id,
    defaultValues: { words: '' },
    read: ({ words }) => ({ args: { reportId: report.id, words } }),
    said: 'Asked.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="Ask back"
      aside={report.number}
      onClose={onClose}
      foot={<Button rank="primary" word="Ask" onPress={submit} />}
    >
      <FormField control={form.control} name="words" label="What do you want to know" lines={3} autoFocus />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

const usualReasons = ['It is meant to be so', 'It is not ours', 'It was repaired before'] as const;

/** Nothing is done about it; the reporter is told why. */
export function DeclineSheet({ report, onClose }: Props): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'report.decline',
    about: report.id,
    defaultValues: { reason: '' },
    read: ({ reason }) => ({ args: { reportId: report.id, reason } }),
    said: 'Declined. The reporter is told.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="Decline"
      aside={report.number}
      onClose={onClose}
      foot={<Button rank="primary" word="Decline it" onPress={submit} />}
    >
      <ReasonField form={form} label="Why, for the reporter" usual={usualReasons} onEnter={submit} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

/** Somebody saw it: it is so. */
export function ConfirmSheet({ report, onClose }: Props): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'report.confirm',
    about: report.id,
    defaultValues: { words: '' },
    read: ({ words }) => ({ args: { reportId: report.id, words } }),
    said: 'Kept.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="I saw it"
      aside={report.number}
      onClose={onClose}
      foot={<Button rank="primary" word="It is so" onPress={submit} />}
    >
      <FormField control={form.control} name="words" label="What you saw (not needed)" lines={3} autoFocus />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

/** Somebody is sent to look before anything else is done: one press on their name. */
export function LookSheet({ report, onClose }: Props): ReactElement {
  const say = useNotice((state) => state.say);
  const people = usePeopleOf(report.siteId, { roles: workers });
  const { run, refusal, errorAt } = useOperation();
  const send = async (personId: PersonId): Promise<void> => {
    if (!(await run('report.send-to-look', { reportId: report.id, personId }))) return;
    say(`${peekRow('people', personId)?.name ?? 'It'} is told.`);
    onClose();
  };
  return (
    <BottomSheet title="Who goes and looks" aside={report.number} onClose={onClose}>
      <PeopleChoice
        label="Who goes and looks"
        isLabelHidden
        isOne
        {...people}
        chosen={report.looking === null ? [] : [report.looking]}
        onPress={(id) => void send(id)}
      />
      <FormRefusal sentence={errorAt(refusal?.field ?? '')} />
    </BottomSheet>
  );
}

const MOST_OFFERED = 8;

/** It belongs to work that is open already: the likeliest first, one press joins it. */
export function JoinSheet({ report, onClose }: Props): ReactElement {
  const say = useNotice((state) => state.say);
  const works = useTable('workOrders');
  const offered = useMemo(() => {
    const ofSite = works.filter(({ siteId, state }) => siteId === report.siteId && isOpen(state));
    const known = new WhatIsKnown(ofSite, [], { assets: peekAll('assets'), places: peekAll('places') });
    const like = known
      .find(report, report.words, MOST_OFFERED)
      .flatMap((each) => (each.is === 'work' ? [each.work] : []));
    const onMachine = ofSite.filter(({ assetId }) => assetId === report.assetId);
    return [...new Set([...like, ...onMachine])].slice(0, MOST_OFFERED);
  }, [works, report]);
  const join = async (workOrderId: WorkOrderId, number: string): Promise<void> => {
    if (!(await performOrSay('report.join', { reportId: report.id, workOrderId }))) return;
    say(`${report.number} closes with ${number}.`);
    onClose();
  };
  return (
    <BottomSheet title="Join it to" aside={report.number} onClose={onClose}>
      {offered.length === 0 ? <AppText>No open work is on this machine or like these words.</AppText> : null}
      {offered.map((work) => (
        <Button
          key={work.id}
          word={`${work.number} ${work.title} (${stateOf(work)})`}
          onPress={() => void join(work.id, work.number)}
        />
      ))}
    </BottomSheet>
  );
}

/** A report on a place finds its machine. */
export function MachineSheet({ report, onClose }: Props): ReactElement {
  const [refusedOnce, setRefusedOnce] = useState(false);
  const name = async (assetId: NonNullable<Report['assetId']>): Promise<void> => {
    if (await performOrSay('report.name-machine', { reportId: report.id, assetId })) onClose();
    else setRefusedOnce(true);
  };
  return (
    <BottomSheet title="Which machine it is" aside={report.number} onClose={onClose}>
      <WhereField
        at={null}
        isMachineOnly
        onChoose={(at) => {
          if (at?.is === 'asset') void name(at.id);
        }}
      />
      {refusedOnce ? <AppText live>Choose another machine of this site.</AppText> : null}
    </BottomSheet>
  );
}
