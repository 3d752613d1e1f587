import { memo, useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDuration, formatSums } from '@oilcan/core/kernel';
import { owedBefore, type Owed } from '@oilcan/core/lifecycle';
import type { Clock } from '@oilcan/core/labor';
import { dueSteps, type Stop } from '@oilcan/core/rounds';
import type { Share } from '@oilcan/core/shares';
import type { Step } from '@oilcan/core/steps';
import { hasRole } from '@oilcan/core/operations';
import { costOf } from '@oilcan/core/registry';
import { canChange, costGroups, isOpen, type Entry, type WorkOrder } from '@oilcan/core/work';
import { performOrSay, useOperation } from '../../data/use-operation';
import { usePhone, useRow, useRowsLater, useSettings } from '../../data/store';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { costGroupWords, stateWords } from '../../words/work-words';
import { DropSheet, HandBackSheet, HoldSheet } from '../lifecycle';
import { OwedList } from './owed-list';
import { CostItems } from './cost-items';
import { useCommand } from '../keys/commands';
import { ClocksToStop } from '../labor';
import { NoneAnswers } from '../none';
import { LocksToTakeOff } from '../isolation';
import { StillOut, StoodStill } from '../stoppages';
import { ShareCosts } from '../shares';
import { Section } from '../../ui/section';
import { useMe } from '../../data/use-me';
import { mdiClose, mdiPause, mdiPlay, mdiUndo } from '@mdi/js';

interface Props {
  readonly work: WorkOrder;
  readonly onPlaced: (element: HTMLElement | null) => void;
  /** Takes the person to where something owed is given. */
  readonly onMend: (owed: Owed) => void;
  /** Which of the sheets for recording is open, by its name. */
  readonly open: string | null;
  readonly onOpen: (name: string | null) => void;
}

/**
 * What is still owed, what it cost, and finishing. All of it is worked out anew with everything that is recorded, so it
 * follows a moment after.
 */
export function WrapUpPart(props: Props): ReactElement {
  const { id } = props.work;
  const steps = useRowsLater('steps', 'workOrder', id);
  const stops = useRowsLater('stops', 'workOrder', id);
  const entries = useRowsLater('entries', 'workOrder', id);
  const clocks = useRowsLater('clocks', 'workOrder', id);
  const shares = useRowsLater('shares', 'workOrder', id);
  return <WrapUp {...props} steps={steps} stops={stops} entries={entries} clocks={clocks} shares={shares} />;
}

interface WrapUpProps extends Props {
  readonly steps: readonly Step[];
  readonly stops: readonly Stop[];
  readonly entries: readonly Entry[];
  readonly clocks: readonly Clock[];
  readonly shares: readonly Share[];
}

const WrapUp = memo(function WrapUp({
  work,
  steps,
  stops,
  entries,
  clocks,
  shares,
  onPlaced,
  onMend,
  open,
  onOpen,
}: WrapUpProps): ReactElement | null {
  const me = useMe();
  const settings = useSettings(work.siteId);
  const person = usePhone((state) => state.person);
  const owed = useMemo(() => {
    if (settings === undefined) return [];
    const recorded = { steps: dueSteps(steps, stops), entries, clocks, shares, isolation: work.isolation };
    return owedBefore(me, recorded, settings.owed[work.kind]);
  }, [me, work, settings, steps, stops, entries, clocks, shares]);
  const [asking, setAsking] = useState<'finish' | 'hold' | 'handBack' | 'drop' | null>(null);
  useCommand('finish', () => {
    if (settings === undefined || !canChange(work.state, 'finish')) return;
    if (owed.length === 0) setAsking('finish');
  });
  if (settings === undefined || person === null) return null;
  const isLead = hasRole(person, ['lead']);
  const close = (): void => setAsking(null);
  return (
    <Section
      title="Wrap up"
      onPlaced={onPlaced}
      {...(owed.length === 0 || !canChange(work.state, 'finish') ? {} : { aside: `${owed.length} owed` })}
    >
      <CostLine work={work} entries={entries} />
      <ShareCosts work={work} />
      <StoodStill work={work} entries={entries} />
      <NoneAnswers work={work} entries={entries} hasClock={clocks.some(({ id }) => id === me)} />
      {isOpen(work.state) ? (
        <View style={sheet.buttons}>
          <CostItems work={work} open={open} onOpen={onOpen} />
        </View>
      ) : null}
      <LocksToTakeOff work={work} />
      <ClocksToStop work={work} />
      {canChange(work.state, 'finish') ? <OwedList owed={owed} onMend={onMend} /> : null}
      {work.state === 'ready' ? <Words soft>Start the clock or tick a step, and the job is underway.</Words> : null}
      <View style={sheet.buttons}>
        {canChange(work.state, 'finish') ? (
          <Button
            main
            style={sheet.wide}
            word="Finish"
            disabled={owed.length > 0}
            onPress={() => setAsking('finish')}
          />
        ) : null}
        {canChange(work.state, 'hold') ? (
          <Button icon={mdiPause} word="Hold" onPress={() => setAsking('hold')} />
        ) : null}
        {canChange(work.state, 'resume') ? (
          <Button
            icon={mdiPlay}
            word="Resume"
            onPress={() => void performOrSay('work.resume', { workOrderId: work.id })}
          />
        ) : null}
        {isLead && canChange(work.state, 'drop') ? (
          <Button icon={mdiClose} word="Drop this work" onPress={() => setAsking('drop')} />
        ) : null}
      </View>
      {work.state === 'finished' ? <FinishedLine work={work} /> : null}
      {work.state === 'finished' && isLead ? (
        <View style={sheet.buttons}>
          <Button
            main
            style={sheet.wide}
            word="Accept"
            onPress={() => void performOrSay('work.accept', { workOrderId: work.id })}
          />
          <Button icon={mdiUndo} word="Hand back" onPress={() => setAsking('handBack')} />
        </View>
      ) : null}
      {work.state === 'accepted' || work.state === 'dropped' ? (
        <Words soft>{stateWords[work.state]}. Nothing more can be recorded here.</Words>
      ) : null}
      {asking === 'finish' ? <FinishSheet work={work} entries={entries} onClose={close} /> : null}
      {asking === 'hold' ? <HoldSheet work={work} onClose={close} /> : null}
      {asking === 'handBack' ? <HandBackSheet work={work} onClose={close} /> : null}
      {asking === 'drop' ? <DropSheet work={work} onClose={close} /> : null}
    </Section>
  );
});

function CostLine({ work, entries }: Pick<WrapUpProps, 'work' | 'entries'>): ReactElement | null {
  const settings = useSettings(work.siteId);
  if (settings === undefined) return null;
  const cost = costOf(entries);
  const say = (sums: typeof cost.total): string => formatSums(sums, settings.currency, settings.language);
  const groups = costGroups
    .flatMap((group) => {
      const sums = cost.groups[group];
      const isSaid = sums !== null && (sums.length > 0 || group === 'time' || group === 'material');
      return isSaid ? [`${costGroupWords[group]} ${say(sums)}`] : [];
    })
    .join(', ');
  return (
    <View style={sheet.cost}>
      <Words as="heading">
        {formatDuration(cost.laborMinutes)} · {say(cost.total)}
        {cost.groups.time === null ? ' without time' : ''}
      </Words>
      <Words as="small" soft>
        Planned {formatDuration(work.estimateMinutes)}.{` ${groups}.`}
      </Words>
    </View>
  );
}

function FinishedLine({ work }: { readonly work: WorkOrder }): ReactElement {
  const by = useRow('people', work.finishedBy);
  return <Words soft>Finished by {by?.name ?? 'somebody'}; the lead has not looked at it yet.</Words>;
}

interface FinishSheetProps extends Pick<WrapUpProps, 'work' | 'entries'> {
  readonly onClose: () => void;
}

function FinishSheet({ work, entries, onClose }: FinishSheetProps): ReactElement {
  const { run, errorAt } = useOperation();
  const clock = useRow('clocks', useMe());
  const finish = async (): Promise<void> => {
    if (await run('work.finish', { workOrderId: work.id }, `${work.number} is finished.`)) onClose();
  };
  return (
    <BottomSheet
      title={`Finish ${work.number}?`}
      onClose={onClose}
      foot={<Button main word="Yes, it is done" onPress={() => void finish()} />}
    >
      <CostLine work={work} entries={entries} />
      <StillOut work={work} entries={entries} />
      {clock?.workOrderId === work.id ? <Words>Your clock stops and its time is recorded.</Words> : null}
      <Words soft>After this only the lead can open it again.</Words>
      {errorAt('') === null ? null : <Words live>{errorAt('')}</Words>}
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({
  cost: { paddingVertical: 12 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingVertical: 12 },
  wide: { flexGrow: 1 },
});
