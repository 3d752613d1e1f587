import { useEffect, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Movement, MovementReason, Part } from '@oilcan/core/stores/stock';
import { useStockOf } from '../../../data/queries/stock';
import { now, peekRow, useSettings } from '../../../data/store/store';
import { Row, Section } from '../../../ui/layout/section';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { sayMoment } from '../../../words/dates';
import { joined } from '../../../words/joined';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { readMovements, type MovementsAnswer } from './movements';

const reasonWords: Readonly<Record<MovementReason, string>> = {
  opening: 'What the books began with',
  receipt: 'Came in',
  use: 'Used',
  return: 'Put back',
  correction: 'Put right',
  count: 'Counted',
  transfer: 'Moved between bins',
  issue: 'Handed out',
};

const SHOWN_AT_FIRST = 10;

const StockPicture = lazyComponent(() => import('./stock-picture').then((module) => module.StockPicture));

/** What moved of a part: the stock over time as a picture, then the rows behind it. They are with the server, so they take signal. */
export function PartMovements({ part }: { readonly part: Part }): ReactElement {
  const [answer, setAnswer] = useState<MovementsAnswer | 'asking' | null>('asking');
  const [isAll, setIsAll] = useState(false);
  const onHand = useStockOf(part.id).reduce((sum, level) => sum + level.onHand, 0);
  useEffect(() => {
    let isGone = false;
    void readMovements(part.id).then((given) => {
      if (!isGone) setAnswer(given);
    });
    return () => {
      isGone = true;
    };
  }, [part.id, onHand]);
  if (answer === 'asking' || answer === null)
    return (
      <Section title="What moved">
        <AppText soft live>
          {answer === null
            ? 'What moved before is with the server. It is shown when there is signal.'
            : 'Asking the server …'}
        </AppText>
      </Section>
    );
  const { movements, hasMore } = answer;
  const shown = isAll ? movements : movements.slice(0, SHOWN_AT_FIRST);
  return (
    <Section title="What moved" aside={`${movements.length}${hasMore ? ' or more' : ''}`}>
      <StockPicture part={part} movements={movements} onHand={onHand} />
      {shown.map((movement) => (
        <MovementRow key={movement.id} movement={movement} part={part} />
      ))}
      {movements.length > shown.length ? (
        <Button rank="quiet" word={`All ${movements.length}`} onPress={() => setIsAll(true)} />
      ) : null}
      {isAll && hasMore ? <AppText soft>What is older is not shown here.</AppText> : null}
    </Section>
  );
}

function MovementRow({ movement, part }: { readonly movement: Movement; readonly part: Part }): ReactElement {
  const settings = useSettings();
  const { change, reason, at, binId, by, workOrderId } = movement;
  const when = settings === undefined ? '' : sayMoment(at, now(), settings.zone, settings.language);
  return (
    <Row>
      <View style={sheet.words}>
        <AppText>{reasonWords[reason]}</AppText>
        <AppText as="small" soft>
          {joined([
            when,
            `bin ${peekRow('bins', binId)?.label ?? ''}`,
            by === undefined ? '' : (peekRow('people', by)?.name ?? ''),
            workOrderId === null ? '' : (peekRow('workOrders', workOrderId)?.number ?? ''),
          ])}
        </AppText>
      </View>
      <AppText as="mark">
        {change > 0 ? '+' : '−'}
        {amountOf(Math.abs(change), part)}
      </AppText>
    </Row>
  );
}

const sheet = StyleSheet.create({
  words: { flex: 1, minWidth: 0 },
});
