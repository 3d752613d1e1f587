import { memo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mustBeGiven, type Owed } from '@oilcan/core/finishing/lifecycle';
import type { Clock } from '@oilcan/core/recording/labor';
import { hasRole } from '@oilcan/core/operations';
import { costOf } from '@oilcan/core/registry';
import { canChange, isClosed, isOpen, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { accept, undoAccepting, useAccepting } from '../../../data/store/accepting';
import { performOrSay } from '../../../data/store/use-operation';
import { usePhone, useRow, useRowsLater } from '../../../data/store/store';
import { Button } from '../../../ui/press/press';
import { More } from '../../../ui/press/more';
import { AppText } from '../../../ui/theme/app-text';
import { counted, stateWords } from '../../../words/work-words';
import { DropSheet, FinishSheet, HandBackSheet, HoldSheet } from '../../finishing/lifecycle';
import { OwedList } from './owed-list';
import { OwnTimeOwed } from './own-time-owed';
import { useOwed, type OwedStanding } from '../../../data/queries/use-owed';
import { CostItems, CostSheet, TimeKey } from './cost-items';
import { CostLines } from '../../recording/costs';
import { FurtherSheet } from '../../finishing/further';
import { useCommand } from '../../frame/keys/commands';
import { ClocksToStop } from '../../recording/labor';
import { NoneAnswers } from '../../recording/none';
import { LocksToTakeOff } from '../isolation';
import { StoodStill } from '../../recording/stoppages';
import { MailSheet } from '../../past/paper';
import { NextDueLine } from '../../finishing/plans';
import { AtMachine } from '../../steps/rounds';
import { ServiceLines } from '../../finishing/return-to-service';
import { ShareCosts } from '../../recording/shares';
import { Section } from '../../../ui/layout/section';
import { useMe } from '../../../data/store/use-me';
import { mdiClose, mdiEmailOutline, mdiPause, mdiPlay, mdiSourceBranchPlus, mdiUndo } from '@mdi/js';

interface Props {
  readonly work: WorkOrder;
  readonly onPlaced: (element: HTMLElement | null) => void;
  /** Takes the person to where something owed is given. */
  readonly onCorrect: (owed: Owed) => void;
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
  const entries = useRowsLater('entries', 'workOrder', id);
  const clocks = useRowsLater('clocks', 'workOrder', id);
  return <WrapUp {...props} standing={useOwed(props.work)} entries={entries} clocks={clocks} />;
}

interface WrapUpProps extends Props {
  readonly standing: OwedStanding | null;
  readonly entries: readonly Entry[];
  readonly clocks: readonly Clock[];
}

const WrapUp = memo(function WrapUp({
  work,
  standing,
  entries,
  clocks,
  onPlaced,
  onCorrect,
  open,
  onOpen,
}: WrapUpProps): ReactElement | null {
  const me = useMe();
  const person = usePhone((state) => state.person);
  const isAccepting = useAccepting(({ ids }) => ids.includes(work.id));
  const [asking, setAsking] = useState<'finish' | 'hold' | 'handBack' | 'drop' | 'further' | 'mail' | null>(null);
  useCommand('finish', () => {
    if (standing === null || !canChange(work.state, 'finish')) return;
    if (mustBeGiven(standing.owed).length === 0) setAsking('finish');
  });
  if (standing === null || person === null) return null;
  const { owed, demands } = standing;
  const missing = mustBeGiven(owed).length;
  const isLead = hasRole(person, ['lead']);
  const close = (): void => setAsking(null);
  return (
    <Section
      title="Wrap up"
      onPlaced={onPlaced}
      {...(missing === 0 || !canChange(work.state, 'finish') ? {} : { aside: `${missing} missing` })}
    >
      <LocksToTakeOff work={work} />
      <ClocksToStop work={work} />
      {canChange(work.state, 'finish') ? <OwedList owed={owed} onCorrect={onCorrect} /> : null}
      {work.state === 'ready' ? <AppText soft>Start the clock or tick a step, and the job is underway.</AppText> : null}
      {canChange(work.state, 'finish') ? (
        <Button
          rank="primary"
          style={sheet.finish}
          word="Finish"
          cannot={missing > 0 && `${counted(missing, 'thing is', 'things are')} still missing. They stand above.`}
          onPress={() => setAsking('finish')}
        />
      ) : null}
      {work.state === 'finished' ? <FinishedLine work={work} /> : null}
      {work.plan === undefined || isOpen(work.state) ? null : <NextDueLine work={work} />}
      <OwnTimeOwed work={work} />
      {isAccepting ? (
        <View style={sheet.buttons}>
          <AppText soft>Accepted. Until you go on it can be undone.</AppText>
          <Button icon={mdiUndo} word="Undo" onPress={undoAccepting} />
        </View>
      ) : work.state === 'finished' && isLead ? (
        <View style={sheet.buttons}>
          <Button rank="primary" style={sheet.wide} word="Accept" onPress={() => accept([work.id])} />
          <Button icon={mdiUndo} word="Hand back" onPress={() => setAsking('handBack')} />
        </View>
      ) : null}
      {work.state === 'accepted' || work.state === 'dropped' ? (
        <AppText soft>{stateWords[work.state]}. Nothing more can be recorded here.</AppText>
      ) : null}
      <View style={sheet.keys}>
        {isOpen(work.state) ? <TimeKey onOpen={onOpen} /> : null}
        {canChange(work.state, 'hold') ? (
          <Button rank="quiet" icon={mdiPause} word="Put on hold" onPress={() => setAsking('hold')} />
        ) : null}
        {canChange(work.state, 'resume') ? (
          <Button
            icon={mdiPlay}
            word="Resume"
            onPress={() => void performOrSay('work.resume', { workOrderId: work.id })}
          />
        ) : null}
        {isClosed(work.state) ? null : (
          <Button rank="quiet" icon={mdiSourceBranchPlus} word="Further work" onPress={() => setAsking('further')} />
        )}
      </View>
      <NoneAnswers
        work={work}
        entries={entries}
        hasClock={clocks.some(({ id }) => id === me)}
        asksForFault={work.kind === 'corrective' || demands.fault !== 'not'}
      />
      <CostLines work={work} cost={costOf(entries)} entries={entries} />
      <ShareCosts work={work} />
      <StoodStill work={work} entries={entries} />
      <ServiceLines work={work} entries={entries} open={open} onOpen={onOpen} />
      <CostSheet work={work} open={open} onClose={() => onOpen(null)} />
      {isOpen(work.state) || work.startedAt !== null ? (
        <More label="costs, mail">
          {isOpen(work.state) ? <CostItems onOpen={onOpen} /> : null}
          {work.startedAt === null ? null : (
            <Button rank="quiet" icon={mdiEmailOutline} word="Send by mail" onPress={() => setAsking('mail')} />
          )}
        </More>
      ) : null}
      {isLead && canChange(work.state, 'drop') ? (
        <Button
          rank="final"
          icon={mdiClose}
          word="Drop this work"
          style={sheet.drop}
          onPress={() => setAsking('drop')}
        />
      ) : null}
      {asking === 'finish' ? <FinishSheet work={work} entries={entries} asked={owed} onClose={close} /> : null}
      {asking === 'mail' ? <MailSheet work={work} onClose={close} /> : null}
      {asking === 'further' ? (
        <AtMachine work={work}>{(here) => <FurtherSheet work={here} onClose={close} />}</AtMachine>
      ) : null}
      {asking === 'hold' ? <HoldSheet work={work} onClose={close} /> : null}
      {asking === 'handBack' ? <HandBackSheet work={work} onClose={close} /> : null}
      {asking === 'drop' ? <DropSheet work={work} onClose={close} /> : null}
    </Section>
  );
});

function FinishedLine({ work }: { readonly work: WorkOrder }): ReactElement {
  const by = useRow('people', work.finishedBy);
  return <AppText soft>Finished by {by?.name ?? 'somebody'}; the lead has not looked at it yet.</AppText>;
}

const sheet = StyleSheet.create({
  finish: { marginTop: 12 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 4 },
  drop: { alignSelf: 'flex-start', marginTop: 24 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingVertical: 12 },
  wide: { flexGrow: 1 },
});
