import { useRouter } from 'expo-router';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { proposalsFor } from '@oilcan/core/finishing/further';
import { isFaultyStill, type Remark, type RoundStanding, type StopStanding } from '@oilcan/core/steps/rounds';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { peekRow, peekRows, useRows } from '../../../data/store/store';
import { Button, Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { furtherArgs, useLeft } from '../../finishing/further';
import { useMadeWork } from '../../orders/work';
import { remarkWords } from './remark-words';
import type { InSight } from './stop-in-sight';

interface Props {
  readonly work: WorkOrder;
  readonly round: RoundStanding;
  readonly onGo: (inSight: InSight) => void;
}

/** What came of a round: what is faulty still, what was beyond a limit, what was left out; and the work that follows. */
export function RoundEnd({ work, round, onGo }: Props): ReactElement {
  const open = round.stops.filter(({ isDone }) => !isDone);
  const leftOut = round.stops.filter(({ stop }) => stop.leftOut !== null);
  return (
    <View style={sheet.end}>
      <AppText>{said(round)}</AppText>
      <Remarks title="Faulty still" round={round} isWanted={isFaultyStill} onGo={onGo} />
      <Remarks title="Put right" round={round} isWanted={({ faulty }) => faulty === 'putRight'} onGo={onGo} />
      <Remarks title="Beyond limits" round={round} isWanted={({ level }) => level !== 'normal'} onGo={onGo} />
      <Stops title="Left out" stops={leftOut} onGo={onGo} />
      <Stops title="Not done yet" stops={open} onGo={onGo} />
      <FurtherWork work={work} />
    </View>
  );
}

function said({ stops, faulty }: RoundStanding): string {
  const done = stops.filter(({ isDone, stop }) => isDone && stop.leftOut === null).length;
  const wrong = faulty === 0 ? 'nothing is faulty still' : `${counted(faulty, 'thing is', 'things are')} faulty still`;
  return `${done} of ${stops.length} stops done; ${wrong}.`;
}

interface RemarksProps {
  readonly title: string;
  readonly round: RoundStanding;
  readonly isWanted: (remark: Remark) => boolean;
  readonly onGo: (inSight: InSight) => void;
}

function Remarks({ title, round, isWanted, onGo }: RemarksProps): ReactElement | null {
  const lines = round.stops.flatMap(({ stop, remarks }) =>
    remarks.filter(isWanted).map((remark) => ({ stop, remark })),
  );
  if (lines.length === 0) return null;
  return (
    <View>
      <AppText as="label">{title}</AppText>
      {lines.map(({ stop, remark }) => (
        <Line
          key={remark.step.id}
          words={`${peekRow('assets', stop.assetId)?.name ?? ''} · ${remarkWords(remark)}`}
          onPress={() => onGo(stop.id)}
        />
      ))}
    </View>
  );
}

interface StopsProps {
  readonly title: string;
  readonly stops: readonly StopStanding[];
  readonly onGo: (inSight: InSight) => void;
}

function Stops({ title, stops, onGo }: StopsProps): ReactElement | null {
  if (stops.length === 0) return null;
  return (
    <View>
      <AppText as="label">{title}</AppText>
      {stops.map(({ stop, number }) => (
        <Line
          key={stop.id}
          words={`${number} ${peekRow('assets', stop.assetId)?.name ?? ''}${stop.leftOut === null ? '' : `: ${stop.leftOut.reason}`}`}
          onPress={() => onGo(stop.id)}
        />
      ))}
    </View>
  );
}

function Line({ words, onPress }: { readonly words: string; readonly onPress: () => void }): ReactElement {
  const palette = usePalette();
  return (
    <Press onPress={onPress} style={[sheet.line, { borderColor: palette.line }]}>
      <AppText>{words}</AppText>
    </Press>
  );
}

/** What is left, machine by machine, becomes work orders of its own with one press; what became one already leads there. */
function FurtherWork({ work }: Pick<Props, 'work'>): ReactElement | null {
  const router = useRouter();
  const makes = useMadeWork();
  const led = useRows('workOrders', 'cameFrom', work.id);
  const [isRaising, setIsRaising] = useState(false);
  const left = proposalsFor(useLeft(work));
  const raise = async (): Promise<void> => {
    setIsRaising(true);
    const said = { steps: peekRows('steps', 'workOrder', work.id), entries: peekRows('entries', 'workOrder', work.id) };
    await makes.raise(left.map((each) => furtherArgs(work, each, said)));
    setIsRaising(false);
  };
  return (
    <>
      {led.length === 0 ? null : (
        <View>
          <AppText as="label">Led to</AppText>
          {led.map(({ id, number, title }) => (
            <Line key={id} words={`${number} ${title}`} onPress={() => router.navigate(`/shift/${id}`)} />
          ))}
        </View>
      )}
      {left.length === 0 || !isOpen(work.state) ? null : (
        <Button
          rank="primary"
          word={`Raise ${counted(left.length, 'work order', 'work orders')} for what is left`}
          cannot={isRaising && 'They are being raised.'}
          onPress={() => void raise()}
        />
      )}
    </>
  );
}

const sheet = StyleSheet.create({
  end: { paddingTop: 12, gap: 12 },
  line: { borderBottomWidth: 1, paddingVertical: 8 },
});
