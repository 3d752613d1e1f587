import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiPlay, mdiStop } from '@mdi/js';
import { formatClock, type CrewId, type PersonId } from '@oilcan/core/kernel';
import { clockMinutes, runningClocks } from '@oilcan/core/recording/labor';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { now, useRow, useTable } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { useNow } from '../../../data/store/use-now';
import { performOrSay } from '../../../data/store/use-operation';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { Row } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { useMates, type Mate } from './use-mates';
import { List } from '../../../ui/layout/list';

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** The clocks of those who work here with me: started and stopped for them. */
export function MatesSheet({ work, onClose }: Props): ReactElement {
  const { near } = useMates(work);
  const clocks = useTable('clocks');
  const idle = near.filter(
    ({ person }) => !runningClocks(clocks).some(({ id, workOrderId }) => id === person.id && workOrderId === work.id),
  );
  const startAll = async (): Promise<void> => {
    // Of one crew at a time: who has the work needs none.
    const groups = new Map<CrewId | undefined, PersonId[]>();
    for (const { person, crewId } of idle) groups.set(crewId, [...(groups.get(crewId) ?? []), person.id]);
    for (const [crewId, personIds] of groups) await start(work, personIds, crewId);
  };
  return (
    <BottomSheet
      title="Clocks of mates"
      aside={work.number}
      onClose={onClose}
      {...(idle.length > 1
        ? { foot: <Button word={`Start all ${idle.length}`} icon={mdiPlay} onPress={() => void startAll()} /> }
        : {})}
    >
      {near.length === 0 ? (
        <AppText>
          Nobody else has this work, and you are in no crew. Who comes to help starts the clock on their own phone;
          their time can be typed here too, under Time.
        </AppText>
      ) : null}
      <List label="People">
        {near.map((mate) => (
          <MateRow key={mate.person.id} mate={mate} work={work} />
        ))}
      </List>
    </BottomSheet>
  );
}

function start(work: WorkOrder, personIds: readonly PersonId[], crewId: CrewId | undefined): Promise<boolean> {
  const crew = crewId === undefined ? {} : { crewId };
  return performOrSay('clock.start-for', { workOrderId: work.id, personIds, ...crew });
}

function MateRow({ mate: { person, crewId }, work }: { readonly mate: Mate; readonly work: WorkOrder }): ReactElement {
  const me = useMe();
  const clock = useRow('clocks', person.id);
  const elsewhere = useRow('workOrders', clock?.workOrderId);
  const present = useNow(30);
  const runs = clock !== undefined && clock.isPaused !== true;
  const runsHere = runs && clock.workOrderId === work.id;
  const standing = !runs
    ? clock?.workOrderId === work.id
      ? 'On a break'
      : 'Not running'
    : runsHere
      ? `Runs here: ${formatClock(clockMinutes(clock.startedAt, present))}`
      : `Runs on ${elsewhere?.number ?? 'another job'}`;
  const stop = (): Promise<boolean> =>
    performOrSay('clock.stop-for', { workOrderId: work.id, personId: person.id, endedAt: now(), reason: '' });
  return (
    <Row>
      <View style={sheet.words}>
        <AppText>{person.name}</AppText>
        <AppText as="small" soft>
          {standing}
          {runsHere && clock.startedBy === me ? ', started by you' : ''}
        </AppText>
      </View>
      {runsHere ? (
        clock.startedBy === me ? (
          <Button icon={mdiStop} word="Stop" label={`Stop the clock of ${person.name}`} onPress={() => void stop()} />
        ) : null
      ) : (
        <Button
          icon={mdiPlay}
          word={runs ? 'Move clock here' : 'Start'}
          label={`${runs ? 'Move clock here' : 'Start'} the clock of ${person.name}`}
          onPress={() => void start(work, [person.id], crewId)}
        />
      )}
    </Row>
  );
}

const sheet = StyleSheet.create({ words: { flex: 1, minWidth: 0 } });
