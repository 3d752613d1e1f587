import { useEffect, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { joined, proposalsFor, split, type LeftOver, type Proposal } from '@oilcan/core/finishing/further';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import type { Step } from '@oilcan/core/steps/steps';
import type { Entry, WorkOrder } from '@oilcan/core/orders/work';
import { useUsual } from '../../../data/queries/usual-of';
import { peekRow, useRows, useSettings } from '../../../data/store/store';
import { Choice } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { counted, urgencyWords } from '../../../words/work-words';
import { UsualKitChoice, useUsualKit } from '../../stores/kit-list';
import { furtherArgs, leftWords } from './further-args';

type Raised = ArgsOf<'work.raise'>;

interface Props {
  readonly work: WorkOrder;
  readonly entries: readonly Entry[];
  readonly left: readonly LeftOver[];
  /** Hears which work orders are to be raised, whenever that changes. */
  readonly onChange: (wanted: readonly Raised[]) => void;
}

/** What a finished job leaves, as further work that is raised with it: joined, split or left out by hand. */
export function LeftToDo({ work, entries, left, onChange }: Props): ReactElement {
  const steps = useRows('steps', 'workOrder', work.id);
  const [proposals, setProposals] = useState(() => proposalsFor(left));
  const [wanted, setWanted] = useState<ReadonlyMap<string, Raised>>(new Map());
  const [leftOut, setLeftOut] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    const taken = proposals.filter((proposal) => !leftOut.has(keyOf(proposal)));
    onChange(taken.map((proposal) => wanted.get(keyOf(proposal)) ?? furtherArgs(work, proposal, { steps, entries })));
  }, [proposals, wanted, leftOut, work, steps, entries, onChange]);
  const toggle = (key: string): void => {
    const next = new Set(leftOut);
    if (!next.delete(key)) next.add(key);
    setLeftOut(next);
  };
  return (
    <View role="group" aria-label="Further work" style={sheet.left}>
      <AppText as="label">
        {counted(left.length, 'thing is', 'things are')} left: raised as{' '}
        {counted(proposals.length, 'work order', 'work orders')}
      </AppText>
      {proposals.map((proposal, index) => (
        <ProposalLine
          key={keyOf(proposal)}
          work={work}
          proposal={proposal}
          steps={steps}
          entries={entries}
          isTaken={!leftOut.has(keyOf(proposal))}
          onToggle={() => toggle(keyOf(proposal))}
          onReady={(raised) => setWanted((before) => new Map(before).set(keyOf(proposal), raised))}
          {...(index === 0 ? {} : { onJoin: () => setProposals(joined(proposals, index)) })}
          {...(proposal.length === 1 ? {} : { onSplit: () => setProposals(split(proposals, index)) })}
        />
      ))}
    </View>
  );
}

const keyOf = (proposal: Proposal): string => proposal.map(({ key }) => key).join(' ');

interface LineProps {
  readonly work: WorkOrder;
  readonly proposal: Proposal;
  readonly steps: readonly Step[];
  readonly entries: readonly Entry[];
  readonly isTaken: boolean;
  readonly onToggle: () => void;
  readonly onReady: (raised: Raised) => void;
  readonly onJoin?: () => void;
  readonly onSplit?: () => void;
}

function ProposalLine({
  work,
  proposal,
  steps,
  entries,
  isTaken,
  onToggle,
  onReady,
  onJoin,
  onSplit,
}: LineProps): ReactElement {
  const palette = usePalette();
  const settings = useSettings(work.siteId);
  const [raised] = useState(() => furtherArgs(work, proposal, { steps, entries }));
  const usual = useUsual({ ...raised, tradeId: raised.tradeId ?? work.tradeId });
  const usualKit = useUsualKit(usual, work.siteId);
  const taken = usualKit.partIds.join(' ');
  useEffect(() => {
    onReady({ ...raised, kit: [...usualKit.kit], estimateMinutes: usual?.minutes?.median ?? 0 });
    // Told anew when what is usual has come, or something of it is chosen.
    // eslint-disable-next-line react-hooks/exhaustive-deps -- whoever hears is another function with every draw
  }, [raised, usual, taken]);
  const trade = settings?.trades.find(({ id }) => id === raised.tradeId)?.name ?? '';
  return (
    <View style={[sheet.proposal, { borderColor: palette.line }]}>
      <AppText as="label">
        {peekRow('assets', raised.assetId)?.name ?? ''}, {trade.toLowerCase()} ·{' '}
        {urgencyWords[raised.urgency].toLowerCase()}
      </AppText>
      {proposal.map((left) => (
        <AppText key={left.key} as="small">
          {leftWords(left)}
        </AppText>
      ))}
      {isTaken ? <UsualKitChoice of={usualKit} /> : null}
      <View style={sheet.buttons}>
        <Choice isMany word="Raise it" isChosen={isTaken} onPress={onToggle} />
        {onJoin === undefined ? null : <Button word="Join with the one above" onPress={onJoin} />}
        {onSplit === undefined ? null : <Button word="Split" onPress={onSplit} />}
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  left: { gap: 8 },
  proposal: { borderWidth: 1, borderRadius: 4, padding: 10, gap: 2 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 6 },
});
