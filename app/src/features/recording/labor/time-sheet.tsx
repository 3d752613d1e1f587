import { useState, type ReactElement } from 'react';
import { PeopleChoice } from '../../../forms/people-choice';
import { addMinutes, formatDuration, type Instant, type PersonId } from '@oilcan/core/kernel';
import { timeTypes, type TimeType } from '@oilcan/core/recording/labor';
import { hasRole } from '@oilcan/core/operations';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { now, usePhone, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { timeTypeWords } from '../../../words/work-words';
import { useIsPrepared, useOnlyWrites } from '../../orders/hazards';
import { OverlapLines } from './overlap-lines';
import { noTime, readTime, typedTime, type TypedTime } from './read-time';
import { TimeFields } from './time-fields';
import { useMates } from './use-mates';

interface Props {
  readonly work: WorkOrder;
  /** What is typed at first. */
  readonly first?: TypedTime;
  readonly onClose: () => void;
}

/** Time that was not clocked. How long is enough; it then ends now. Start or end may be given instead, and mates who worked along. */
export function TimeSheet({ work, first = noTime, onClose }: Props): ReactElement | null {
  const me = useMe();
  const settings = useSettings(work.siteId);
  const isLead = usePhone((state) => state.person !== null && hasRole(state.person, ['lead']));
  const [present] = useState(now);
  const [timeType, setTimeType] = useState<TimeType>('regular');
  const isPrepared = useIsPrepared(work);
  const [whose, setWhose] = useState<readonly PersonId[]>([me]);
  // Who only writes down what others did is there at first because somebody must be, and goes with the first who is chosen.
  const [isMeChosen, setIsMeChosen] = useState(!useOnlyWrites(work));
  const choose = (chosen: readonly PersonId[]): void => {
    const added = chosen.find((id) => !whose.includes(id));
    if (added === me || !chosen.includes(me)) setIsMeChosen(true);
    setWhose(added === undefined || isMeChosen || added === me ? chosen : chosen.filter((id) => id !== me));
  };
  const [tradeId, setTradeId] = useState<string | null>(null);
  const zone = settings?.zone ?? 'utc';
  const { form, submit, refusal } = useOperationForm({
    operation: 'labor.add',
    about: work.id,
    defaultValues: first,
    fieldOf: (argument) =>
      argument === 'startedAt' ? 'start' : argument === 'minutes' ? 'duration' : (argument as never),
    read: (typed) => {
      const time = readTime(typed, present, zone);
      if (!time.ok) return { unreadable: time.field, hint: time.sentence };
      const { startedAt, minutes } = time;
      const [personId = me, ...alsoFor] = whose;
      const mates = alsoFor.length === 0 ? {} : { alsoFor };
      const trade = tradeId === null ? {} : { tradeId };
      return { args: { workOrderId: work.id, personId, ...mates, startedAt, minutes, timeType, ...trade } };
    },
    said: ({ minutes }) =>
      `${formatDuration(Math.max(0, minutes))}${whose.length > 1 ? ` for ${whose.length} people` : ''} kept.`,
    onDone: onClose,
  });
  if (settings === undefined) return null;
  const read = readTime(form.watch(), present, zone);
  const cut = (from: Instant, to: Instant): void => form.reset(typedTime(from, to, zone));
  return (
    <BottomSheet
      title="Time"
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={read.ok && read.minutes > 0 ? `Keep ${formatDuration(read.minutes)}` : 'Keep'}
          cannot={whose.includes(me) && !isPrepared && 'Read the hazards of this job first, or say whose time it was.'}
          onPress={submit}
        />
      }
    >
      <TimeFields
        form={form}
        present={present}
        zone={zone}
        language={settings.language}
        onEnter={submit}
        autoFocus={first === noTime}
      />
      <Choices label="Kind of time">
        {timeTypes.map((each) => (
          <Choice
            key={each}
            word={timeTypeWords[each]}
            isChosen={timeType === each}
            onPress={() => setTimeType(each)}
          />
        ))}
      </Choices>
      <WhoseTime work={work} whose={whose} onChange={choose} />
      {isLead ? (
        <Choices label="By the rate of">
          <Choice word="Their own trade" isChosen={tradeId === null} onPress={() => setTradeId(null)} />
          {settings.trades.map(({ id, name }) => (
            <Choice key={id} word={name} isChosen={tradeId === id} onPress={() => setTradeId(id)} />
          ))}
        </Choices>
      ) : null}
      {read.ok && read.minutes > 0
        ? whose.map((personId) => (
            <OverlapLines
              key={personId}
              personId={personId}
              from={read.startedAt}
              to={addMinutes(read.startedAt, read.minutes)}
              present={present}
              zone={zone}
              onCut={cut}
            />
          ))
        : null}
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

interface WhoseProps {
  readonly work: WorkOrder;
  readonly whose: readonly PersonId[];
  readonly onChange: (whose: readonly PersonId[]) => void;
}

/** Me, mates, or both; at least one. */
function WhoseTime({ work, whose, onChange }: WhoseProps): ReactElement {
  const me = useMe();
  const { near, others } = useMates(work);
  const toggle = (id: PersonId): void => {
    const without = whose.filter((each) => each !== id);
    if (!whose.includes(id)) onChange([...whose, id]);
    else if (without.length > 0) onChange(without);
  };
  const mine = usePhone(({ person }) => person);
  const mates = near.map(({ person }) => person);
  return (
    <PeopleChoice
      label="Whose time"
      isLabelHidden
      likely={mine === null ? mates : [mine, ...mates]}
      others={others}
      chosen={whose}
      onPress={toggle}
      wordOf={({ id, name }) => (id === me ? 'Me' : name)}
    />
  );
}
