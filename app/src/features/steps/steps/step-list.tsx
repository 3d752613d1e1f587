import { mdiPlus } from '@mdi/js';
import { memo, useCallback, useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { StepId, StopId } from '@oilcan/core/kernel';
import { placed, type Step } from '@oilcan/core/steps/steps';
import { isOpen, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { useRowsLater } from '../../../data/store/store';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Button } from '../../../ui/press/press';
import { ShareOut, useHolders } from '../../recording/shares';
import { recordedOfSteps } from './recorded-of-steps';
import { StepRow } from './step-row';

const StepSheet = lazyComponent(() => import('./step-sheet').then((module) => module.StepSheet));
const MoreStepsSheet = lazyComponent(() => import('./more-steps-sheet').then((module) => module.MoreStepsSheet));

/** Loads what opens from the steps, so that it opens without signal too. */
export async function loadStepSheets(): Promise<void> {
  await Promise.all([StepSheet.load(), MoreStepsSheet.load()]);
}

interface Props {
  readonly work: WorkOrder;
  readonly steps: readonly Step[];
  /** Those of them that are shown; all where it is left out. */
  readonly only?: ReadonlySet<StepId> | undefined;
  /** The stop of a round at which these are; undefined where it is none. */
  readonly stopId?: StopId;
}

/** Steps, one under the other, each followed by those that are part of it; and the way to more of them. */
export function StepList(props: Props): ReactElement {
  return <Steps {...props} entries={useRowsLater('entries', 'workOrder', props.work.id)} />;
}

interface StepsProps extends Props {
  readonly entries: readonly Entry[];
}

const Steps = memo(function Steps({ work, steps, entries, only, stopId }: StepsProps): ReactElement {
  const [more, setMore] = useState<string | null>(null);
  const [isAdding, setIsAdding] = useState(false);
  const openMore = useCallback((stepId: string) => setMore(stepId), []);
  // A branch that was never answered is out of the way until it comes up.
  const shown = useMemo(
    () =>
      placed(steps).filter(
        ({ step, isInForce }) => (isInForce || step.answer !== null) && only?.has(step.id) !== false,
      ),
    [steps, only],
  );
  const holders = useHolders(work, steps);
  const recorded = useMemo(() => recordedOfSteps(entries), [entries]);
  const canAnswer = isOpen(work.state);
  const opened = shown.find(({ step }) => step.id === more);
  return (
    <>
      {shown.length === 0 ? null : (
        <View role="list" aria-label="Steps">
          {shown.map(({ step, number, depth, isInForce }) => (
            <StepRow
              key={step.id}
              stepId={step.id}
              number={number}
              depth={depth}
              isInForce={isInForce}
              canAnswer={canAnswer}
              recorded={recorded.get(step.id) ?? ''}
              holder={only === undefined ? (holders.get(step.id) ?? '') : ''}
              onMore={openMore}
            />
          ))}
        </View>
      )}
      {canAnswer ? (
        <View style={sheet.more}>
          <Button word="More steps" icon={mdiPlus} onPress={() => setIsAdding(true)} />
          <ShareOut work={work} />
        </View>
      ) : null}
      {opened === undefined ? null : (
        <StepSheet work={work} placed={opened} canAnswer={canAnswer} onClose={() => setMore(null)} />
      )}
      {isAdding ? (
        <MoreStepsSheet work={work} {...(stopId === undefined ? {} : { stopId })} onClose={() => setIsAdding(false)} />
      ) : null}
    </>
  );
});

const sheet = StyleSheet.create({ more: { paddingTop: 12, gap: 8, flexDirection: 'row', flexWrap: 'wrap' } });
