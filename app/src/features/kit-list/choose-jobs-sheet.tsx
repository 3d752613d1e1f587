import type { ReactElement } from 'react';
import type { WorkOrderId } from '@oilcan/core/kernel';
import { performOrSay } from '../../data/use-operation';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Choice } from '../../ui/choice';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { counted } from '../../words/work-words';
import { useJobsToChoose } from './use-kit-list';

/** For which of my jobs parts and tools are taken along. Each press counts at once. */
export function ChooseJobsSheet({
  chosen,
  onClose,
}: {
  readonly chosen: readonly WorkOrderId[];
  readonly onClose: () => void;
}): ReactElement {
  const { jobs, todays } = useJobsToChoose();
  const choose = (workOrderIds: readonly string[]): void =>
    void performOrSay('kit-list.choose', { workOrderIds: workOrderIds as never[] });
  return (
    <BottomSheet
      title="Choose jobs"
      aside={`${chosen.length} chosen`}
      onClose={onClose}
      foot={
        <>
          <Button word={`All of today’s, ${counted(todays.size, 'job', 'jobs')}`} onPress={() => choose([...todays])} />
          {chosen.length === 0 ? null : <Button word="None, and empty the bag" onPress={() => choose([])} />}
          <Button rank="primary" word="Done" onPress={onClose} />
        </>
      }
    >
      {jobs.length === 0 ? <Words>None of your open jobs needs a part or a tool.</Words> : null}
      {jobs.map((work) => (
        <Choice
          key={work.id}
          isMany
          word={`${work.number} ${work.title}`}
          isChosen={chosen.includes(work.id)}
          onPress={() =>
            choose(chosen.includes(work.id) ? chosen.filter((id) => id !== work.id) : [...chosen, work.id])
          }
        />
      ))}
    </BottomSheet>
  );
}
