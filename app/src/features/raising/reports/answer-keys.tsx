import { useRouter } from 'expo-router';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { isOpenReport, type Report } from '@oilcan/core/raising/reports';
import { useMay } from '../../../data/store/use-may';
import { useMe } from '../../../data/store/use-me';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { AskSheet, ConfirmSheet, DeclineSheet, JoinSheet, LookSheet, MachineSheet } from './answer-sheets';

interface Props {
  readonly report: Report;
  /** What is likely of the same problem, and is answered along. */
  readonly doubles: readonly Report[];
  readonly mayAnswer: boolean;
  readonly isLead: boolean;
}

const sheets = {
  ask: AskSheet,
  look: LookSheet,
  confirm: ConfirmSheet,
  join: JoinSheet,
  decline: DeclineSheet,
  machine: MachineSheet,
} as const;

/** What can be done about a report by whoever may: the likeliest first. */
export function AnswerKeys({ report, doubles, mayAnswer, isLead }: Props): ReactElement | null {
  const router = useRouter();
  const [opened, setOpened] = useState<keyof typeof sheets | null>(null);
  const me = useMe();
  const mayConfirm = useMay('report.confirm');
  // Whoever reported it saw it: their word is there already.
  const mayLook = mayConfirm && report.by !== me;
  const waits = report.state === 'waiting' || report.state === 'asked';
  if (!isOpenReport(report) || (!mayAnswer && !mayLook)) return null;
  const ids = [report, ...doubles].map(({ id }) => id);
  const asked = new URLSearchParams({ reports: ids.join(',') });
  if (report.assetId !== null) asked.set('asset', report.assetId);
  const Sheet = opened === null ? null : sheets[opened];
  return (
    <View style={sheet.keys}>
      {waits && mayAnswer ? (
        <>
          <Button
            rank="primary"
            word={doubles.length === 0 ? 'Take it up as work' : `Take up all ${ids.length} as one work order`}
            onPress={() => router.navigate(`/raise/plan?${asked}`)}
          />
          <Button word="Join it to open work" onPress={() => setOpened('join')} />
          <Button word="Ask back" onPress={() => setOpened('ask')} />
        </>
      ) : null}
      {waits && isLead ? (
        <>
          <Button word="Send somebody to look" onPress={() => setOpened('look')} />
          <Button word="Decline" onPress={() => setOpened('decline')} />
        </>
      ) : null}
      {mayLook ? <Button word="I saw it: it is so" onPress={() => setOpened('confirm')} /> : null}
      {report.assetId === null || isLead ? (
        <Button
          word={report.assetId === null ? 'Say which machine it is' : 'It is another machine'}
          onPress={() => setOpened('machine')}
        />
      ) : null}
      {waits && !mayAnswer ? <AppText soft>On this site a lead answers reports.</AppText> : null}
      {Sheet === null ? null : <Sheet report={report} onClose={() => setOpened(null)} />}
    </View>
  );
}

const sheet = StyleSheet.create({ keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingVertical: 12 } });
