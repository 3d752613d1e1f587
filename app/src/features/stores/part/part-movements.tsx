import { useEffect, useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import { toMillis, type Thousandths } from '@oilcan/core/kernel';
import type { Movement, MovementReason, Part } from '@oilcan/core/stores/stock';
import { useStockOf } from '../../../data/queries/stock';
import { now, peekRow, useSettings } from '../../../data/store/store';
import { Row, Section } from '../../../ui/layout/section';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { sayMoment } from '../../../words/dates';
import { joined } from '../../../words/joined';
import { AXIS_WIDTH, Figure, useChartLooks } from '../../../ui/drawn/figure';
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
/** So many points of the line are drawn at most: more than that is no wider than the line itself. */
const MOST_POINTS = 120;

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

interface Point {
  readonly at: number;
  readonly value: number;
}

/** What lay there after each movement, back from what lies there now. */
export function stockOverTime(movements: readonly Movement[], onHand: Thousandths): Point[] {
  let there = onHand;
  const back = movements.map(({ at, change }): Point => {
    const point = { at: toMillis(at), value: there / 1_000 };
    there -= change;
    return point;
  });
  const points = back.reverse();
  const every = Math.ceil(points.length / MOST_POINTS);
  return points.filter((_, index) => index % every === 0 || index === points.length - 1);
}

function StockPicture({
  part,
  movements,
  onHand,
}: {
  readonly part: Part;
  readonly movements: readonly Movement[];
  readonly onHand: Thousandths;
}): ReactElement | null {
  const { palette, frame } = useChartLooks();
  const settings = useSettings();
  const [width, setWidth] = useState(0);
  const points = useMemo(() => stockOverTime(movements, onHand), [movements, onHand]);
  const [oldest, newest] = [points[0], points.at(-1)];
  if (points.length < 2 || oldest === undefined || newest === undefined || settings === undefined) return null;
  const room = width - AXIS_WIDTH - 24;
  const length = Math.max(1, newest.at - oldest.at);
  // Distance on the picture is distance in time; between two movements nothing changes.
  const data = points.map(({ at, value }, index) => {
    const next = points[index + 1];
    return { value, spacing: next === undefined ? 0 : ((next.at - at) / length) * room };
  });
  const most = Math.max(...points.map(({ value }) => value), 1);
  const step = Math.max(1, Math.ceil(most / 3));
  const month = new Intl.DateTimeFormat(settings.language, {
    month: 'short',
    year: 'numeric',
    timeZone: settings.zone,
  });
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      {width === 0 ? null : (
        <Figure
          title={`On hand, ${part.unit}`}
          said={`On hand: ${points.length} changes, from ${oldest.value} to ${newest.value} ${part.unit}`}
          width={width}
        >
          <LineChart
            {...frame}
            data={data}
            stepChart
            color={palette.green}
            thickness={2}
            hideDataPoints
            width={room + 14}
            endSpacing={6}
            stepValue={step}
            maxValue={step * 3}
          />
          <View style={sheet.ends}>
            <AppText as="mark" soft>
              {month.format(oldest.at)}
            </AppText>
            <AppText as="mark" soft>
              {month.format(newest.at)}
            </AppText>
          </View>
        </Figure>
      )}
    </View>
  );
}

const sheet = StyleSheet.create({
  words: { flex: 1, minWidth: 0 },
  ends: { flexDirection: 'row', justifyContent: 'space-between', paddingLeft: AXIS_WIDTH },
});
