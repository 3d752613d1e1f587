import { useRouter } from 'expo-router';
import type { ReactElement } from 'react';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import { limitBeyond, openAlarmWork, urgencyOfAlarm } from '@oilcan/core/steps/readings';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { furtherWorkOrder } from '../../../data/queries/new-work';
import { useUsual } from '../../../data/queries/usual-of';
import { useRow, useRows } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { UrgencyMark } from '../../../ui/drawn/urgency';
import { AppText } from '../../../ui/theme/app-text';
import { useMadeWork } from '../../orders/work';
import { UsualKitChoice, useUsualKit } from '../../stores/kit-list';

interface Props {
  readonly work: WorkOrder;
  readonly point: MeasuringPoint;
  readonly value: number;
  readonly onClose: () => void;
}

/** What is to be done about a value beyond its alarm: a work order that is filled in already, or why there is none. */
export function AlarmSheet({ work, point, value, onClose }: Props): ReactElement {
  const router = useRouter();
  const makes = useMadeWork();
  const asset = useRow('assets', point.assetId);
  const known = openAlarmWork(useRows('workOrders', 'asset', point.assetId), point.id);
  const raised = alarmWork(work, point, value, asset?.criticality ?? 2);
  const usual = useUsual({ ...raised, tradeId: work.tradeId });
  const usualKit = useUsualKit(usual, work.siteId);
  const estimateMinutes = usual?.minutes?.median ?? 0;
  const raise = async (): Promise<void> => {
    if ((await makes.raise([{ ...raised, kit: [...usualKit.kit], estimateMinutes }])) === 1) onClose();
  };
  const said = `${point.name} ${value} ${point.unit} is beyond its alarm of ${limitBeyond(value, point.limits) ?? ''} ${point.unit}.`;
  if (known !== undefined) {
    return (
      <BottomSheet
        title="Beyond alarm"
        aside={asset?.name ?? ''}
        onClose={onClose}
        foot={<Button rank="primary" word="Go on" onPress={onClose} />}
      >
        <AppText>{said}</AppText>
        <AppText>
          {known.number}, “{known.title}”, is open for it already: this value joins it.
        </AppText>
        <Button word={`Open ${known.number}`} onPress={() => router.navigate(`/shift/${known.id}`)} />
      </BottomSheet>
    );
  }
  return (
    <BottomSheet
      title="Beyond alarm"
      aside={asset?.name ?? ''}
      onClose={onClose}
      foot={<Button rank="primary" word="Raise this work order" onPress={() => void raise()} />}
    >
      <AppText>{said}</AppText>
      <AppText as="label">{raised.title}</AppText>
      <AppText soft>{raised.reason}</AppText>
      <UrgencyMark urgency={raised.urgency} />
      <UsualKitChoice of={usualKit} />
      <WhyNot work={work} said={said} onDone={onClose} />
    </BottomSheet>
  );
}

/** The work order that answers an alarm. */
function alarmWork(
  work: WorkOrder,
  { id, assetId, name, unit, limits }: MeasuringPoint,
  value: number,
  criticality: 1 | 2 | 3 | 4,
): ArgsOf<'work.raise'> {
  return furtherWorkOrder({
    assetId,
    title: `${name} ${value} ${unit}, beyond alarm`,
    reason: `Read on ${work.number}, ${work.title}. The alarm is at ${limitBeyond(value, limits) ?? ''} ${unit}.`,
    urgency: urgencyOfAlarm(value, limits, criticality),
    tradeId: work.tradeId,
    cameFrom: work.id,
    alarmOf: id,
    answers: [id],
  });
}

interface WhyNotProps {
  readonly work: WorkOrder;
  readonly said: string;
  readonly onDone: () => void;
}

/** Why no work order is raised; it stands in the record. */
function WhyNot({ work, said, onDone }: WhyNotProps): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'note.add',
    about: `alarm ${work.id}`,
    defaultValues: { text: '' },
    read: ({ text }) => {
      if (text.trim() === '') return { unreadable: 'text', hint: 'Write why.' };
      return { args: { workOrderId: work.id, text: `${said} No work order: ${text}` } };
    },
    said: 'Noted.',
    onDone,
  });
  return (
    <>
      <FormField control={form.control} name="text" label="Or why there is no need" onEnter={submit} />
      <FormRefusal sentence={refusal} />
      <Button word="No work order" onPress={submit} />
    </>
  );
}
