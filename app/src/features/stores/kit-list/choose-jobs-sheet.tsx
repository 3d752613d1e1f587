import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { WorkOrderId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { now, useRow, useSettings } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { CheckRow } from '../../../ui/fields/check-row';
import { AppText } from '../../../ui/theme/app-text';
import { sayDue } from '../../../words/dates';
import { counted } from '../../../words/work-words';
import { useNarrowedWork } from '../../frame/page/narrowed-work';
import { useJobsToChoose } from './use-kit-list';

/** For which of my jobs parts and tools are taken along. Each press counts at once. */
export function ChooseJobsSheet({
  chosen,
  onClose,
}: {
  readonly chosen: readonly WorkOrderId[];
  readonly onClose: () => void;
}): ReactElement {
  const { jobs, todays, weeks } = useJobsToChoose();
  const narrowed = useNarrowedWork(({ ids }) => ids);
  const shown = narrowed === null ? [] : jobs.filter(({ id }) => narrowed.includes(id)).map(({ id }) => id);
  const choose = (workOrderIds: readonly string[]): void =>
    void performOrSay('kit-list.choose', { workOrderIds: workOrderIds as never[] });
  return (
    <BottomSheet
      title="Choose jobs"
      aside={`${chosen.length} chosen`}
      onClose={onClose}
      foot={
        <>
          {chosen.length === 0 ? null : (
            <Button rank="quiet" word="None, and empty the bag" onPress={() => choose([])} />
          )}
          <Button rank="primary" word="Done" onPress={onClose} />
        </>
      }
    >
      {jobs.length === 0 ? <AppText>None of your open jobs needs a part or a tool.</AppText> : null}
      <View style={sheet.many}>
        {narrowed === null || shown.length === 0 ? null : (
          <Button
            word={`As the list is narrowed, ${counted(shown.length, 'job', 'jobs')}`}
            onPress={() => choose(shown)}
          />
        )}
        <Button word={`All of today’s, ${counted(todays.size, 'job', 'jobs')}`} onPress={() => choose([...todays])} />
        <Button word={`All of this week’s, ${counted(weeks.size, 'job', 'jobs')}`} onPress={() => choose([...weeks])} />
      </View>
      {jobs.map((work) => (
        <JobChoice
          key={work.id}
          work={work}
          isChosen={chosen.includes(work.id)}
          onPress={() =>
            choose(chosen.includes(work.id) ? chosen.filter((id) => id !== work.id) : [...chosen, work.id])
          }
        />
      ))}
    </BottomSheet>
  );
}

interface JobChoiceProps {
  readonly work: WorkOrder;
  readonly isChosen: boolean;
  readonly onPress: () => void;
}

/** A job that can be chosen, with when it is due and where. */
function JobChoice({ work, isChosen, onPress }: JobChoiceProps): ReactElement {
  const asset = useRow('assets', work.assetId);
  const place = useRow('places', work.placeId);
  const settings = useSettings(work.siteId);
  const due =
    work.dueAt === null || settings === undefined
      ? undefined
      : sayDue(work.dueAt, now(), settings.zone, settings.language);
  return (
    <CheckRow
      title={`${work.number} ${work.title}`}
      more={[due, asset?.name, place?.name].filter((each) => each !== undefined).join(' · ')}
      isChosen={isChosen}
      onPress={onPress}
    />
  );
}

const sheet = StyleSheet.create({
  many: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
