import { mdiPlus } from '@mdi/js';
import { useCallback, useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { placed, progressOf } from '@oilcan/core/steps';
import { isOpen, type WorkOrder } from '@oilcan/core/work';
import { useRows } from '../../data/store';
import { piece } from '../../ui/piece';
import { Button } from '../../ui/press';
import { Section } from '../../ui/section';
import { Words } from '../../ui/words';
import { recordedOfSteps } from './recorded-of-steps';
import { StepRow } from './step-row';

const StepSheet = piece(() => import('./step-sheet').then((module) => module.StepSheet));
const MoreStepsSheet = piece(() => import('./more-steps-sheet').then((module) => module.MoreStepsSheet));

/** Loads what opens from the steps, so that it opens without signal too. */
export async function loadStepSheets(): Promise<void> {
  await Promise.all([StepSheet.load(), MoreStepsSheet.load()]);
}

/** The steps, one under the other; each followed by those that are part of it. */
export function WorkPart({
  work,
  onPlaced,
}: {
  readonly work: WorkOrder;
  readonly onPlaced: (element: HTMLElement | null) => void;
}): ReactElement {
  const steps = useRows('steps', 'workOrder', work.id);
  const entries = useRows('entries', 'workOrder', work.id);
  const [more, setMore] = useState<string | null>(null);
  const [isAdding, setIsAdding] = useState(false);
  const openMore = useCallback((stepId: string) => setMore(stepId), []);
  // A branch that was never answered is out of the way until it comes up.
  const shown = useMemo(
    () => placed(steps).filter(({ step, isInForce }) => isInForce || step.answer !== null),
    [steps],
  );
  const recorded = useMemo(() => recordedOfSteps(entries), [entries]);
  const { done, of } = progressOf(steps);
  const canAnswer = isOpen(work.state);
  const opened = shown.find(({ step }) => step.id === more);
  return (
    <Section title="Work" onPlaced={onPlaced} {...(of === 0 ? {} : { aside: `${done} of ${of} steps` })}>
      {of === 0 ? (
        <Words soft style={sheet.none}>
          No steps are written down for this job.
        </Words>
      ) : (
        shown.map(({ step, number, depth, isInForce }) => (
          <StepRow
            key={step.id}
            stepId={step.id}
            number={number}
            depth={depth}
            isInForce={isInForce}
            canAnswer={canAnswer}
            recorded={recorded.get(step.id) ?? ''}
            onMore={openMore}
          />
        ))
      )}
      {canAnswer ? (
        <View style={sheet.more}>
          <Button word="More steps" icon={mdiPlus} onPress={() => setIsAdding(true)} />
        </View>
      ) : null}
      {opened === undefined ? null : (
        <StepSheet work={work} placed={opened} canAnswer={canAnswer} onClose={() => setMore(null)} />
      )}
      {isAdding ? <MoreStepsSheet work={work} onClose={() => setIsAdding(false)} /> : null}
    </Section>
  );
}

const sheet = StyleSheet.create({
  none: { paddingVertical: 14 },
  more: { paddingTop: 12, alignItems: 'flex-start' },
});
