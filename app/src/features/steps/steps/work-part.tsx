import { memo, type ReactElement } from 'react';
import { StyleSheet } from 'react-native';
import { progressOf } from '@oilcan/core/steps/steps';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRows } from '../../../data/store/store';
import { Section } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { ShareLines, useStepsInSight } from '../../recording/shares';
import { StepList } from './step-list';

/** The steps of a job. */
export const WorkPart = memo(function WorkPart({
  work,
  onPlaced,
}: {
  readonly work: WorkOrder;
  readonly onPlaced: (element: HTMLElement | null) => void;
}): ReactElement {
  const steps = useRows('steps', 'workOrder', work.id);
  const { done, of } = progressOf(steps);
  const inSight = useStepsInSight(work, steps);
  return (
    <Section title="Work" onPlaced={onPlaced} {...(of === 0 ? {} : { aside: `${done} of ${of} steps` })}>
      {of === 0 ? (
        <AppText soft style={sheet.none}>
          No steps are written down for this job.
        </AppText>
      ) : null}
      <ShareLines work={work} steps={steps} />
      <StepList work={work} steps={steps} only={inSight.only} />
    </Section>
  );
});

const sheet = StyleSheet.create({ none: { paddingVertical: 14 } });
