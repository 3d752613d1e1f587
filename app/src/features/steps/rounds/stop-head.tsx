import { mdiArrowCollapseDown, mdiCloseCircleOutline, mdiUndo } from '@mdi/js';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { hazardName } from '@oilcan/core/orders/hazards';
import type { StopStanding } from '@oilcan/core/steps/rounds';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow } from '../../../data/store/store';
import { useDangers } from '../../../data/queries/use-dangers';
import { performOrSay } from '../../../data/store/use-operation';
import { FormRefusal } from '../../../forms/form-refusal';
import { ReasonField } from '../../../forms/reason-field';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BeforeOpening } from '../../orders/hazards';
import { LinkPress } from '../../../ui/press/link-press';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';
import { RULE } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';

interface Props {
  readonly work: WorkOrder;
  readonly standing: StopStanding;
  readonly of: number;
}

/** Which machine it is, and what endangers people there. */
export function StopHead({ work, standing: { stop, number, progress }, of }: Props): ReactElement {
  const palette = usePalette();
  const asset = useRow('assets', stop.assetId);
  const place = useRow('places', asset?.placeId);
  // What waits at several stops was read for the whole round, and is shown where it waits.
  const there = useDangers(asset)?.hazards ?? [];
  const own = work.hazards.filter(({ stopId }) => stopId === stop.id);
  const hazards = [...own, ...there.filter((each) => !own.some((one) => hazardName(one) === hazardName(each)))];
  return (
    <View style={sheet.head}>
      <AppText as="mark" soft>
        Stop {number} of {of} · {progress.done} of {progress.of} steps
      </AppText>
      <LinkPress href={`/plant/${stop.assetId}`} style={sheet.machine}>
        <AppText as="title" level={3}>
          {asset?.name ?? 'A machine that is not on this phone'}
        </AppText>
        <AppText soft>
          {asset?.tag} · {place?.name}
        </AppText>
      </LinkPress>
      {hazards.map(({ id, hazard, control }) => (
        <View key={id} style={[sheet.hazard, { borderColor: palette.ink }]}>
          <AppText as="label">{hazard}</AppText>
          <AppText>{control}</AppText>
        </View>
      ))}
      {asset === undefined ? null : <BeforeOpening asset={asset} />}
      {stop.leftOut === null ? null : <AppText live>Left out: {stop.leftOut.reason}</AppText>}
    </View>
  );
}

/** What can become of a stop beside being walked to: last, or not at all. */
export function StopKeys({ work, standing: { stop } }: Omit<Props, 'of'>): ReactElement {
  const say = useNotice((state) => state.say);
  const asset = useRow('assets', stop.assetId);
  const [isLeaving, setIsLeaving] = useState(false);
  const onStop = { workOrderId: work.id, stopId: stop.id };
  const putOff = async (): Promise<void> => {
    if (await performOrSay('stop.put-off', onStop)) say('Put off: it comes last.');
  };
  return (
    <View style={sheet.keys}>
      {stop.leftOut === null ? (
        <>
          <Button word="Put off" icon={mdiArrowCollapseDown} onPress={() => void putOff()} />
          <Button word="Leave out" icon={mdiCloseCircleOutline} onPress={() => setIsLeaving(true)} />
        </>
      ) : (
        <Button word="Take it up again" icon={mdiUndo} onPress={() => void performOrSay('stop.take-up', onStop)} />
      )}
      {isLeaving ? (
        <LeaveOutSheet name={asset?.name ?? ''} onStop={onStop} onClose={() => setIsLeaving(false)} />
      ) : null}
    </View>
  );
}

/** Why stops are usually left out. */
const USUAL_REASONS = ['No access', 'Not in service', 'Weather', 'No time left'];

interface LeaveOutProps {
  readonly name: string;
  readonly onStop: { readonly workOrderId: WorkOrder['id']; readonly stopId: StopStanding['stop']['id'] };
  readonly onClose: () => void;
}

function LeaveOutSheet({ name, onStop, onClose }: LeaveOutProps): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'stop.leave-out',
    about: onStop.stopId,
    defaultValues: { reason: '' },
    read: ({ reason }) => ({ args: { ...onStop, reason } }),
    said: 'Left out of this round.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="Leave out"
      aside={name}
      onClose={onClose}
      foot={<Button rank="primary" word="Leave this stop out" onPress={submit} />}
    >
      <ReasonField form={form} label="Why it is left out" usual={USUAL_REASONS} onEnter={submit} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({
  head: { paddingTop: 12, gap: 8 },
  machine: { alignItems: 'flex-start' },
  hazard: { borderLeftWidth: RULE * 2, paddingLeft: 10 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
