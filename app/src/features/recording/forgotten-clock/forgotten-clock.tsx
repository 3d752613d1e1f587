import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDuration, inZone, type Instant } from '@oilcan/core/kernel';
import {
  clockMinutes,
  isProbablyForgotten,
  proposedEnds,
  type Clock,
  type ProposedEnd,
} from '@oilcan/core/recording/labor';
import { now, peekAll, useRow, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { useNow } from '../../../data/store/use-now';
import { useOperation } from '../../../data/store/use-operation';
import { FormRefusal } from '../../../forms/form-refusal';
import { keptChoice } from '../../../ui/state/kept-choice';
import { Button } from '../../../ui/press/press';
import { RULE } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { ClockCorrectionSheet } from '../labor';

/** Which clock was said to be right still, and until when that is believed. */
const useStillRight = keptChoice('oilcan-clock-still-right', '', {
  read: (kept) => (typeof kept === 'string' ? kept : ''),
  isPersonal: true,
});

const proposalWords: Readonly<Record<ProposedEnd['by'], string>> = {
  'last entry': 'your last record',
  'end of shift': 'end of your shift',
};

/** My clock ran through the night: when did I stop? Nothing is cut without an answer. */
export function ForgottenClock(): ReactElement | null {
  const me = useMe();
  const clock = useRow('clocks', me);
  const settings = useSettings(clock?.siteId);
  const present = useNow(60);
  const { value: stillRight } = useStillRight();
  if (clock === undefined || settings === undefined) return null;
  if (!isProbablyForgotten(clock, present, settings.zone, settings.shiftMinutes)) return null;
  const today = inZone(present, settings.zone).toFormat('yyyy-MM-dd');
  if (stillRight === `${clock.startedAt} ${today}`) return null;
  return <Question clock={clock} today={today} present={present} />;
}

interface QuestionProps {
  readonly clock: Clock;
  readonly today: string;
  readonly present: Instant;
}

function Question({ clock, today, present }: QuestionProps): ReactElement | null {
  const palette = usePalette();
  const settings = useSettings(clock.siteId);
  const work = useRow('workOrders', clock.workOrderId);
  const { choose } = useStillRight();
  const { run, refusal, errorAt } = useOperation();
  const [isTyping, setIsTyping] = useState(false);
  // Asked once: entries that come meanwhile do not move the proposals under the thumb.
  const [proposals] = useState(() =>
    settings === undefined ? [] : proposedEnds(clock, peekAll('entries'), now(), settings.zone, settings.shiftMinutes),
  );
  if (settings === undefined) return null;
  const stopAt = (endedAt: Instant): void =>
    void run(
      'clock.stop',
      { workOrderId: clock.workOrderId, endedAt },
      `${formatDuration(clockMinutes(clock.startedAt, endedAt))} kept on ${work?.number ?? 'the job'}.`,
    );
  return (
    <View role="region" aria-label="Your clock" style={[sheet.card, { borderColor: palette.ink }]}>
      <AppText as="heading" level={3}>
        When did you stop?
      </AppText>
      <AppText>
        Your clock has run on {work?.number ?? 'a job'} since{' '}
        {sayMoment(clock.startedAt, present, settings.zone, settings.language)}.
      </AppText>
      {proposals.map(({ by, at }) => (
        <Button
          key={by}
          word={`${sayMoment(at, present, settings.zone, settings.language)}, ${proposalWords[by]}`}
          onPress={() => stopAt(at)}
        />
      ))}
      <View style={sheet.others}>
        <Button word="Another time" onPress={() => setIsTyping(true)} />
        <Button word="It runs rightly" onPress={() => choose(`${clock.startedAt} ${today}`)} />
      </View>
      <FormRefusal sentence={errorAt(refusal?.field ?? '')} />
      {isTyping ? <ClockCorrectionSheet clock={clock} onClose={() => setIsTyping(false)} /> : null}
    </View>
  );
}

const sheet = StyleSheet.create({
  card: { borderWidth: RULE, borderRadius: 4, padding: 12, gap: 8 },
  others: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
