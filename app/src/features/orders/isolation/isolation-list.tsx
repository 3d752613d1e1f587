import { memo, useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  isolationOf,
  missingBefore,
  type Done,
  type IsolationAct,
  type IsolationStanding,
  type PointStanding,
} from '@oilcan/core/orders/isolation';
import type { PersonId } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRow, usePhone, useRowsLater, useSettings } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { Icon } from '../../../ui/theme/icon';
import { Button } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { energyWords } from '../../../words/work-words';
import { LockOffSheet } from './lock-off-sheet';
import { Row } from '../../../ui/layout/section';
import { LOCKS_ELEMENT } from './locks-element';
import { useMay } from '../../../data/store/use-may';
import { useMe } from '../../../data/store/use-me';
import { mdiAlertOctagonOutline } from '@mdi/js';
import { List } from '../../../ui/layout/list';

function useIsolation(work: WorkOrder): IsolationStanding {
  const entries = useRowsLater('entries', 'workOrder', work.isolation.length === 0 ? undefined : work.id);
  return useMemo(() => isolationOf(work.isolation, entries), [work.isolation, entries]);
}

function record(work: WorkOrder, act: IsolationAct, pointId: string | null): void {
  void performOrSay('isolation.record', { workOrderId: work.id, act, pointId, ofPersonId: null, reason: '' });
}

/** In Prepare: shut down, lock, release, test, each point by itself and each in its turn. */
export function IsolationList({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const standing = useIsolation(work);
  return work.isolation.length === 0 ? null : <Standing work={work} standing={standing} />;
}

interface StandingProps {
  readonly work: WorkOrder;
  readonly standing: IsolationStanding;
}

const Standing = memo(function Standing({ work, standing }: StandingProps): ReactElement {
  const mayRecord = useMay('isolation.record');
  const locked = standing.points.filter(({ locks }) => locks.length > 0).length;
  const how = standing.isSafe
    ? 'locked and tested'
    : standing.shutDown === null
      ? 'not shut down'
      : `${locked} of ${standing.points.length} locked`;
  return (
    <View>
      <View style={sheet.head}>
        <AppText as="label" level={3}>
          Isolation: {how}
        </AppText>
      </View>
      {standing.shutDown === null ? (
        mayRecord && isOpen(work.state) ? (
          <Button style={sheet.button} word="The machine is shut down" onPress={() => record(work, 'shutDown', null)} />
        ) : null
      ) : (
        <AppText as="small" soft>
          Shut down: <Who done={standing.shutDown} />
        </AppText>
      )}
      <List label="Isolation points">
        {standing.points.map((point) => (
          <PointRow key={point.point.id} work={work} point={point} standing={standing} />
        ))}
      </List>
    </View>
  );
});

interface PointRowProps extends StandingProps {
  readonly point: PointStanding;
}

const actWords: Readonly<Record<'lock' | 'release' | 'test', string>> = {
  lock: 'My lock is on',
  release: 'Energy released',
  test: 'Tested: dead',
};

const waitingWords: Readonly<Record<IsolationAct, string>> = {
  shutDown: 'First shut the machine down.',
  lock: 'First lock every point.',
  release: 'First release the stored energy everywhere.',
  test: '',
  unlock: '',
};

function PointRow({ work, point: standing, standing: all }: PointRowProps): ReactElement {
  const me = useMe();
  const palette = usePalette();
  const { point, locks, released, tested } = standing;
  const mayRecord = useMay('isolation.record');
  const next = mayRecord ? nextAct(standing, me) : null;
  const missing = next === null ? null : missingBefore(next, point.id, all, me);
  return (
    <Row>
      <Icon path={mdiAlertOctagonOutline} color={locks.length > 0 ? palette.green : palette.ink} />
      <View style={sheet.words}>
        <AppText>{point.device}</AppText>
        <AppText as="small" soft>
          {energyWords[point.energy]}
          {point.release === null ? '' : ` · ${point.release}`} · {point.test}
        </AppText>
        {locks.map((lock) => (
          <AppText key={lock.by} as="small">
            Locked: <Who done={lock} />
          </AppText>
        ))}
        {released === null ? null : (
          <AppText as="small">
            Released: <Who done={released} />
          </AppText>
        )}
        {tested === null ? null : (
          <AppText as="small">
            Tested: <Who done={tested} />
          </AppText>
        )}
        {next === null || !isOpen(work.state) ? null : missing === null ? (
          <Button
            style={sheet.button}
            word={actWords[next]}
            label={`${actWords[next]}: ${point.device}`}
            onPress={() => record(work, next, point.id)}
          />
        ) : (
          <AppText as="small" soft>
            {waitingWords[missing]}
          </AppText>
        )}
      </View>
    </Row>
  );
}

function nextAct({ point, locks, released, tested }: PointStanding, me: PersonId): 'lock' | 'release' | 'test' | null {
  if (!locks.some(({ by }) => by === me)) return 'lock';
  if (point.release !== null && released === null) return 'release';
  return tested === null ? 'test' : null;
}

/** In Wrap up: every lock that is still on, to be taken off one by one. */
export function LocksToTakeOff({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const me = useMe();
  const isLead = usePhone((state) => state.person !== null && hasRole(state.person, ['lead']));
  const [asking, setAsking] = useState<{ readonly pointId: string; readonly of: PersonId } | null>(null);
  const { points } = useIsolation(work);
  const locks = points.flatMap(({ point, locks: on }) => on.map((lock) => ({ point, lock })));
  // Also on work that is finished: nothing that is on may stay on for good.
  if (locks.length === 0) return null;
  return (
    <View id={LOCKS_ELEMENT}>
      <View style={sheet.head}>
        <AppText as="label">Locks to take off, when tools and people are clear</AppText>
      </View>
      {locks.map(({ point, lock }) => (
        <Row key={`${point.id} ${lock.by}`}>
          <View style={sheet.words}>
            <AppText>{point.device}</AppText>
            <AppText as="small" soft>
              <Who done={lock} />
            </AppText>
          </View>
          {lock.by === me ? (
            <Button word="Off" label={`Lock off: ${point.device}`} onPress={() => record(work, 'unlock', point.id)} />
          ) : isLead ? (
            <Button
              word="Off"
              label={`Lock off: ${point.device}`}
              onPress={() => setAsking({ pointId: point.id, of: lock.by })}
            />
          ) : null}
        </Row>
      ))}
      {asking === null ? null : <LockOffSheet work={work} {...asking} onClose={() => setAsking(null)} />}
    </View>
  );
}

/** `Ines Okafor, 10:42`. */
function Who({ done }: { readonly done: Done }): string {
  const settings = useSettings();
  const name = peekRow('people', done.by)?.name ?? '';
  return settings === undefined ? name : `${name}, ${sayMoment(done.at, now(), settings.zone, settings.language)}`;
}

const sheet = StyleSheet.create({
  head: { paddingTop: 14, paddingBottom: 2 },
  words: { flex: 1, minWidth: 0 },
  button: { marginVertical: 8 },
});
