import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Clock } from '@oilcan/core/recording/labor';
import { hasRole } from '@oilcan/core/operations';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { now, usePhone, useRow, useRows, useSettings } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { TIME_HINT } from '../../../forms/typed-words';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { Row } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { StoppedAtField } from './stopped-at-field';
import { firstWallTimeAfter } from './wall-time';
import { useMe } from '../../../data/store/use-me';
import { List } from '../../../ui/layout/list';

/** For a lead: clocks of others that run here, which each of them may have forgotten. */
export function ClocksToStop({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const me = useMe();
  const isLead = usePhone((state) => state.person !== null && hasRole(state.person, ['lead']));
  const clocks = useRows('clocks', 'workOrder', work.id).filter(({ id }) => id !== me);
  const [asking, setAsking] = useState<Clock | null>(null);
  if (!isLead || clocks.length === 0) return null;
  return (
    <View style={sheet.list}>
      <AppText as="label">Clocks that run here</AppText>
      <List label="Running clocks">
        {clocks.map((clock) => (
          <ClockRow key={clock.id} clock={clock} onStop={() => setAsking(clock)} />
        ))}
      </List>
      {asking === null ? null : <StopForSheet clock={asking} work={work} onClose={() => setAsking(null)} />}
    </View>
  );
}

function ClockRow({ clock, onStop }: { readonly clock: Clock; readonly onStop: () => void }): ReactElement | null {
  const settings = useSettings(clock.siteId);
  const person = useRow('people', clock.id);
  if (settings === undefined) return null;
  const name = person?.name ?? 'Somebody';
  return (
    <Row>
      <View style={sheet.words}>
        <AppText>{name}</AppText>
        <AppText as="small" soft>
          since {sayMoment(clock.startedAt, now(), settings.zone, settings.language)}
        </AppText>
      </View>
      <Button word="Stop it" label={`Stop the clock of ${name}`} onPress={onStop} />
    </Row>
  );
}

interface StopForProps {
  readonly clock: Clock;
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** When the work really stopped, and why somebody else says so. */
function StopForSheet({ clock, work, onClose }: StopForProps): ReactElement | null {
  const settings = useSettings(clock.siteId);
  const person = useRow('people', clock.id);
  const name = person?.name ?? 'somebody';
  const { form, submit, refusal } = useOperationForm({
    operation: 'clock.stop-for',
    about: clock.id,
    defaultValues: { endedAt: '', reason: '' },
    read: ({ endedAt: typed, reason }) => {
      const endedAt = firstWallTimeAfter(typed, clock.startedAt, settings?.zone ?? 'utc');
      if (endedAt === null) return { unreadable: 'endedAt', hint: TIME_HINT };
      return { args: { workOrderId: work.id, personId: clock.id, endedAt, reason } };
    },
    said: `The clock of ${name} is stopped.`,
    onDone: onClose,
  });
  if (settings === undefined) return null;
  return (
    <BottomSheet
      title={`Clock of ${name}`}
      aside={work.number}
      onClose={onClose}
      foot={<Button rank="primary" word="Stop the clock" onPress={submit} />}
    >
      <AppText>
        It has run since {sayMoment(clock.startedAt, now(), settings.zone, settings.language)}. The time is kept as
        theirs, and {name} is told.
      </AppText>
      <StoppedAtField control={form.control} name="endedAt" clock={clock} settings={settings} />
      <FormField control={form.control} name="reason" label="Why you stop it" />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({
  list: { paddingTop: 14 },
  words: { flex: 1, minWidth: 0 },
});
