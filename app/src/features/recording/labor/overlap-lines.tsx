import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { inZone, minutesBetween, type Instant, type Zone } from '@oilcan/core/kernel';
import { without } from '@oilcan/core/recording/labor';
import { peekRow, useRow } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { overlapsWith, useTimesOf } from './own-times';

/** So many pieces are offered of a time that others cut through. */
const MOST_PIECES = 3;

interface Props {
  readonly personId: string;
  readonly from: Instant;
  readonly to: Instant;
  readonly present: Instant;
  readonly zone: Zone;
  /** Takes a piece that overlaps with nothing in its place. */
  readonly onCut: (from: Instant, to: Instant) => void;
  /** Whether a piece can be taken; left out where any can. */
  readonly mayCut?: (piece: { readonly from: Instant; readonly to: Instant }) => boolean;
}

/** What of a typed time is recorded already, and what would be left without it: one press cuts. */
export function OverlapLines({
  personId,
  from,
  to,
  present,
  zone,
  onCut,
  mayCut = () => true,
}: Props): ReactElement | null {
  const me = useMe();
  const name = useRow('people', personId)?.name;
  const times = useTimesOf(personId, present);
  const overlaps = overlapsWith(from, to, times);
  if (overlaps.length === 0) return null;
  const show = (instant: Instant): string => inZone(instant, zone).toFormat('HH:mm');
  const said = overlaps.map(({ earlier, later, ...shared }) => {
    const { workOrderId } = earlier.id === 'typed' ? later : earlier;
    const on = workOrderId === null ? 'no job' : (peekRow('workOrders', workOrderId)?.number ?? 'another job');
    return `${show(shared.from)} to ${show(shared.to)} on ${on}`;
  });
  const whose = personId === me ? 'You have' : `${name ?? 'Your mate'} has`;
  const pieces = without({ from, to }, times)
    .filter((piece) => minutesBetween(piece.from, piece.to) >= 1 && mayCut(piece))
    .slice(0, MOST_PIECES);
  return (
    <View role="alert" style={sheet.lines}>
      <AppText>
        {whose} {said.join(', ')} already.
      </AppText>
      {pieces.map((piece) => (
        <Button
          key={piece.from}
          word={`Cut to ${show(piece.from)} to ${show(piece.to)}`}
          onPress={() => onCut(piece.from, piece.to)}
        />
      ))}
    </View>
  );
}

const sheet = StyleSheet.create({ lines: { gap: 8 } });
