import { useRouter } from 'expo-router';
import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDuration } from '@oilcan/core/kernel';
import { waitsForGoAhead, type WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRow, useSettings, useTable } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { useNotice } from '../../../ui/state/use-notice';
import { Choice } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { Row, Section } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { counted, kindWords } from '../../../words/work-words';
import { List } from '../../../ui/layout/list';

/** On the Desk: raised work that waits for a lead; one press lets it start, also several. */
export function DeskGoAhead(): ReactElement | null {
  const works = useTable('workOrders');
  const say = useNotice((state) => state.say);
  const waiting = useMemo(
    () => works.filter(waitsForGoAhead).sort((a, b) => (a.createdAt < b.createdAt ? -1 : 1)),
    [works],
  );
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  if (waiting.length === 0) return null;
  const chosen = waiting.filter(({ id }) => !left.has(id));
  const letStart = async (those: readonly WorkOrder[]): Promise<void> => {
    if (!(await performOrSay('work.let-start', { workOrderIds: those.map(({ id }) => id) }))) return;
    say(`${counted(those.length, 'job', 'jobs')} may start.`);
  };
  const toggle = (id: string): void => {
    const next = new Set(left);
    if (!next.delete(id)) next.add(id);
    setLeft(next);
  };
  return (
    <Section title="Waits for your go-ahead" aside={counted(waiting.length, 'job', 'jobs')}>
      <List label="Waits for go-ahead">
        {waiting.map((work) => (
          <WaitingRow
            key={work.id}
            work={work}
            isChosen={waiting.length === 1 ? null : !left.has(work.id)}
            onToggle={() => toggle(work.id)}
            onLetStart={() => void letStart([work])}
          />
        ))}
      </List>
      {waiting.length === 1 ? null : (
        <Button
          rank="primary"
          style={sheet.all}
          cannot={chosen.length === 0 && 'Choose a job first.'}
          word={`Let ${counted(chosen.length, 'job', 'jobs')} start`}
          onPress={() => void letStart(chosen)}
        />
      )}
    </Section>
  );
}

interface WaitingRowProps {
  readonly work: WorkOrder;
  /** Whether it is among those that are let start together; null where there is only one. */
  readonly isChosen: boolean | null;
  readonly onToggle: () => void;
  readonly onLetStart: () => void;
}

function WaitingRow({ work, isChosen, onToggle, onLetStart }: WaitingRowProps): ReactElement {
  const router = useRouter();
  const settings = useSettings(work.siteId);
  const asset = peekRow('assets', work.assetId);
  const facts = [
    kindWords[work.kind],
    work.estimateMinutes === 0 ? '' : formatDuration(work.estimateMinutes),
    settings === undefined ? '' : `raised ${sayMoment(work.createdAt, now(), settings.zone, settings.language)}`,
  ].filter((fact) => fact !== '');
  return (
    <Row wraps>
      <View style={sheet.words}>
        <AppText as="mark">{work.number}</AppText>
        <AppText as="row">{work.title}</AppText>
        <AppText as="small" soft>
          {asset?.name} · {facts.join(' · ')}
        </AppText>
      </View>
      <View style={sheet.keys}>
        <Button
          word="Open"
          label={`Open ${work.number} ${work.title}`}
          onPress={() => router.navigate(`/shift/${work.id}`)}
        />
        {isChosen === null ? (
          <Button
            rank="primary"
            word="Let it start"
            label={`Let it start: ${work.number} ${work.title}`}
            onPress={onLetStart}
          />
        ) : (
          <Choice isMany word={`Let ${work.number} start`} isChosen={isChosen} onPress={onToggle} />
        )}
      </View>
    </Row>
  );
}

const sheet = StyleSheet.create({
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 150, minWidth: 0 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', flexShrink: 1, gap: 8 },
  all: { marginTop: 12, alignSelf: 'flex-start' },
});
