import { useRouter } from 'expo-router';
import { useState, type ReactElement } from 'react';
import { View } from 'react-native';
import { formatDuration, type PartId } from '@oilcan/core/kernel';
import { likelyKit, type UsualPart } from '@oilcan/core/past';
import type { MeasuringPoint } from '@oilcan/core/plant';
import { limitBeyond, openAlarmWork, urgencyOfAlarm } from '@oilcan/core/readings';
import type { ArgsOf } from '@oilcan/core/registry';
import type { KitPart, WorkOrder } from '@oilcan/core/work';
import { furtherWorkOrder } from '../../data/new-work';
import { useUsual } from '../../data/past/usual-of';
import { fullestBin } from '../../data/stock';
import { useRow, useRows } from '../../data/store';
import { performOrSay } from '../../data/use-operation';
import { FormField } from '../../forms/form-field';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { BottomSheet } from '../../ui/bottom-sheet';
import { useNotice } from '../../ui/notice';
import { Button, Choice } from '../../ui/press';
import { UrgencyMark } from '../../ui/urgency';
import { Words } from '../../ui/words';
import { amountOf } from '../../words/amounts';

interface Props {
  readonly work: WorkOrder;
  readonly point: MeasuringPoint;
  readonly value: number;
  readonly onClose: () => void;
}

/** What is to be done about a value beyond its alarm: a work order that is filled in already, or why there is none. */
export function AlarmSheet({ work, point, value, onClose }: Props): ReactElement {
  const router = useRouter();
  const say = useNotice((state) => state.say);
  const asset = useRow('assets', point.assetId);
  const known = openAlarmWork(useRows('workOrders', 'asset', point.assetId), point.id);
  const raised = alarmWork(work, point, value, asset?.criticality ?? 2);
  const usual = useUsual({ ...raised, tradeId: work.tradeId });
  const kit = usual === null ? [] : likelyKit(usual);
  const [left, setLeft] = useState<readonly PartId[]>([]);
  const estimateMinutes = usual?.minutes?.median ?? 0;
  const raise = async (): Promise<void> => {
    const taken = kit.filter(({ partId }) => !left.includes(partId)).flatMap((each) => kitPart(each, point));
    if (!(await performOrSay('work.raise', { ...raised, kit: taken, estimateMinutes }))) return;
    say('Raised. A lead gives it out.');
    onClose();
  };
  const said = `${point.name} ${value} ${point.unit} is beyond its alarm of ${limitBeyond(value, point.limits) ?? ''} ${point.unit}.`;
  if (known !== undefined) {
    return (
      <BottomSheet
        title="Beyond alarm"
        aside={asset?.name ?? ''}
        onClose={onClose}
        foot={<Button main word="Go on" onPress={onClose} />}
      >
        <Words>{said}</Words>
        <Words>
          {known.number}, “{known.title}”, is open for it already: this value joins it.
        </Words>
        <Button word={`Open ${known.number}`} onPress={() => router.navigate(`/shift/${known.id}`)} />
      </BottomSheet>
    );
  }
  return (
    <BottomSheet
      title="Beyond alarm"
      aside={asset?.name ?? ''}
      onClose={onClose}
      foot={<Button main word="Raise this work order" onPress={() => void raise()} />}
    >
      <Words>{said}</Words>
      <Words as="label">{raised.title}</Words>
      <Words soft>{raised.reason}</Words>
      <UrgencyMark urgency={raised.urgency} />
      {estimateMinutes === 0 ? null : <Words soft>Such jobs take about {formatDuration(estimateMinutes)}.</Words>}
      {kit.length === 0 ? null : (
        <View role="group" aria-label="Kit">
          <Words as="label">Kit, as such jobs mostly take it</Words>
          {kit.map((each) => (
            <KitChoice
              key={each.partId}
              usual={each}
              isTaken={!left.includes(each.partId)}
              onPress={() => setLeft(toggled(left, each.partId))}
            />
          ))}
        </View>
      )}
      <WhyNot work={work} said={said} onDone={onClose} />
    </BottomSheet>
  );
}

function toggled(ids: readonly PartId[], id: PartId): PartId[] {
  return ids.includes(id) ? ids.filter((each) => each !== id) : [...ids, id];
}

interface KitChoiceProps {
  readonly usual: UsualPart;
  readonly isTaken: boolean;
  readonly onPress: () => void;
}

function KitChoice({ usual: { partId, quantity }, isTaken, onPress }: KitChoiceProps): ReactElement | null {
  const part = useRow('parts', partId);
  if (part === undefined) return null;
  return <Choice isMany word={`${amountOf(quantity, part)} ${part.name}`} isChosen={isTaken} onPress={onPress} />;
}

/** A part as it is planned, out of the bin that has most of it; nothing where no bin has it. */
function kitPart({ partId, quantity }: UsualPart, { siteId }: MeasuringPoint): KitPart[] {
  const binId = fullestBin(partId, siteId);
  return binId === undefined || quantity <= 0 ? [] : [{ partId, binId, quantity, unit: null }];
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
