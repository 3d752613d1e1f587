import { mdiBarcodeScan, mdiFormatListNumbered } from '@mdi/js';
import { memo, useEffect, useMemo, useRef, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { StepId } from '@oilcan/core/kernel';
import { dueSteps, roundOf, type RoundStanding, type Stop, type StopStanding } from '@oilcan/core/steps/rounds';
import type { Step } from '@oilcan/core/steps/steps';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { peekRow, useRows } from '../../../data/store/store';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Button } from '../../../ui/press/press';
import { Section } from '../../../ui/layout/section';
import { ShareLines, useStepsInSight } from '../../recording/shares';
import { StepList } from '../steps';
import { RoundEnd } from './round-end';
import { RoundList } from './round-list';
import { doneWords } from '../../../words/round-words';
import { StopHead, StopKeys } from './stop-head';
import { goTo, useInSight, type InSight } from './stop-in-sight';

const ScanStopSheet = lazyComponent(() => import('./scan-stop-sheet').then((module) => module.ScanStopSheet));

/** Loads what opens from a round, so that it opens without signal too. */
export async function loadRoundSheets(): Promise<void> {
  await ScanStopSheet.load();
}

interface Props {
  readonly work: WorkOrder;
  readonly stops: readonly Stop[];
  readonly onPlaced: (element: HTMLElement | null) => void;
}

/** A round: one stop at a time in walking order, then what belongs to the whole of it, then what came of it. */
export const RoundPart = memo(function RoundPart({ work, stops, onPlaced }: Props): ReactElement {
  const steps = useRows('steps', 'workOrder', work.id);
  const { only, choose } = useStepsInSight(work, steps);
  const round = useMemo(() => roundOf(stops, steps, only), [stops, steps, only]);
  const inSight = useInSight(work.id, round.next?.stop.id ?? 'end');
  const [isListed, setIsListed] = useState(false);
  const [isScanning, setIsScanning] = useState(false);
  const top = useRef<HTMLElement | null>(null);
  const before = useRef(inSight);
  useEffect(() => {
    // Going on to another stop begins at its head.
    if (before.current !== inSight) top.current?.scrollIntoView({ block: 'start' });
    before.current = inSight;
  }, [inSight]);
  const go = (wanted: InSight): void => {
    setIsListed(false);
    // Whoever goes to a stop of somebody else's wants to see it.
    if (wanted !== 'end' && !round.stops.some(({ stop }) => stop.id === wanted)) choose(false);
    goTo(work.id, wanted);
  };
  const current = round.stops.find(({ stop }) => stop.id === inSight);
  return (
    <Section
      title="Work"
      aside={doneWords(round)}
      onPlaced={(element) => {
        top.current = element;
        onPlaced(element);
      }}
    >
      <View style={sheet.keys}>
        <Button
          word={isListed ? 'Back to the stop' : 'All stops'}
          icon={mdiFormatListNumbered}
          onPress={() => setIsListed(!isListed)}
        />
        <Button word="Scan a stop" icon={mdiBarcodeScan} onPress={() => setIsScanning(true)} />
      </View>
      <ShareLines work={work} steps={dueSteps(steps, stops)} />
      {isListed ? (
        <RoundList work={work} stops={stops} round={round} inSight={inSight} onGo={go} />
      ) : current === undefined ? (
        <AtTheEnd work={work} round={round} steps={steps} only={only} onGo={go} />
      ) : (
        <AtStop work={work} round={round} current={current} of={stops.length} steps={steps} only={only} onGo={go} />
      )}
      {isScanning ? (
        <ScanStopSheet
          work={work}
          round={only === undefined ? round : roundOf(stops, steps)}
          current={current ?? null}
          onGo={go}
          onClose={() => setIsScanning(false)}
        />
      ) : null}
    </Section>
  );
});

interface PartProps {
  readonly work: WorkOrder;
  readonly round: RoundStanding;
  readonly steps: readonly Step[];
  readonly only: ReadonlySet<StepId> | undefined;
  readonly onGo: (inSight: InSight) => void;
}

interface AtStopProps extends PartProps {
  readonly current: StopStanding;
  /** How many stops the round has. */
  readonly of: number;
}

function AtStop({ work, round, current, of, steps, only, onGo }: AtStopProps): ReactElement {
  const there = steps.filter(({ stopId }) => stopId === current.stop.id);
  const next = nextAfter(round, current);
  const name = next === null ? undefined : peekRow('assets', next.stop.assetId)?.name;
  return (
    <>
      <StopHead work={work} standing={current} of={of} />
      {current.stop.leftOut === null ? (
        <StepList work={work} steps={there} only={only} stopId={current.stop.id} />
      ) : null}
      <View style={sheet.next}>
        <Button
          rank="primary"
          word={next === null ? 'What came of the round' : `Next: ${next.number}, ${name ?? 'a machine'}`}
          onPress={() => onGo(next?.stop.id ?? 'end')}
        />
        {isOpen(work.state) ? <StopKeys work={work} standing={current} /> : null}
      </View>
    </>
  );
}

/** The next stop in walking order that is not done, else the first one that is not; null when all are. */
function nextAfter(round: RoundStanding, { number, stop }: StopStanding): StopStanding | null {
  const open = round.stops.filter((each) => !each.isDone && each.stop.id !== stop.id);
  return open.find((each) => each.number > number) ?? open[0] ?? null;
}

function AtTheEnd({ work, round, steps, only, onGo }: PartProps): ReactElement {
  const ofTheWhole = steps.filter(({ stopId }) => stopId === null);
  return (
    <>
      <RoundEnd work={work} round={round} onGo={onGo} />
      {ofTheWhole.length === 0 ? null : <StepList work={work} steps={ofTheWhole} only={only} />}
    </>
  );
}

const sheet = StyleSheet.create({
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 10 },
  next: { paddingTop: 14, gap: 10 },
});
