import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { asId, minutesBetween, type EntryId, type OtherTimeId, type Zone } from '@oilcan/core/kernel';
import { without, type DayTime, type Overlap } from '@oilcan/core/recording/labor';
import { peekRow } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { RUNNING } from '../labor';
import { clockTime } from './day-picture';

interface Props {
  readonly overlap: Overlap;
  readonly zone: Zone;
}

/** Time that is recorded twice: one press takes it out of the later of the two, or of the earlier where the later is a running clock. */
export function CutOverlap({ overlap, zone }: Props): ReactElement {
  const { earlier, later, from, to } = overlap;
  const [cut, kept] = later.id === RUNNING ? [earlier, later] : [later, earlier];
  const [piece] = without(cut, [kept]);
  return (
    <View role="alert" style={sheet.overlap}>
      <AppText style={sheet.words}>
        {clockTime(from, zone)} to {clockTime(to, zone)} is recorded twice.
      </AppText>
      <Button
        word={
          piece === undefined
            ? 'Take the shorter back'
            : `Cut to ${clockTime(piece.from, zone)} to ${clockTime(piece.to, zone)}`
        }
        onPress={() => void (piece === undefined ? takeBack(cut) : cutTo(cut, piece))}
      />
    </View>
  );
}

async function cutTo(time: DayTime, { from, to }: Pick<DayTime, 'from' | 'to'>): Promise<boolean> {
  const minutes = minutesBetween(from, to);
  const entry = peekRow('entries', time.id);
  if (entry === undefined) {
    return performOrSay('time.amend', { otherTimeId: asId<OtherTimeId>(time.id), startedAt: from, minutes });
  }
  if (entry.content.kind !== 'labor') return false;
  const { timeType } = entry.content;
  return performOrSay('labor.amend', {
    workOrderId: entry.workOrderId,
    entryId: asId<EntryId>(time.id),
    startedAt: from,
    minutes,
    timeType,
  });
}

async function takeBack(time: DayTime): Promise<boolean> {
  const entry = peekRow('entries', time.id);
  if (entry === undefined) return performOrSay('time.remove', { otherTimeId: asId<OtherTimeId>(time.id) });
  return performOrSay('entry.withdraw', {
    workOrderId: entry.workOrderId,
    entryId: entry.id,
    reason: 'Recorded twice',
  });
}

const sheet = StyleSheet.create({
  overlap: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, paddingVertical: 10 },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 160 },
});
