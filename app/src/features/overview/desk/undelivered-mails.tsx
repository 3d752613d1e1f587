import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { httpLink } from '../../../data/server/http-link';
import { sentenceOfFailure, useAnswer } from '../../../data/store/use-answer';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';
import { Section } from '../../../ui/layout/section';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';

/** Mails to people of my sites that could not be delivered; nothing at all when there are none. */
export function UndeliveredMails(): ReactElement | null {
  const palette = usePalette();
  const say = useNotice((state) => state.say);
  const [again, setAgain] = useState(0);
  const answered = useAnswer(httpLink.undeliveredMails, again);
  if (answered.is !== 'there' || answered.answer.mails.length === 0) return null;
  const tryAgain = (id: string): void => {
    httpLink.tryMailAgain(id).then(
      () => setAgain(again + 1),
      (error: unknown) => say(sentenceOfFailure(error)),
    );
  };
  return (
    <Section title="Mails that could not be delivered">
      {answered.answer.mails.map(({ id, to, subject, tries }) => (
        <View key={id} style={[sheet.row, { borderColor: palette.line }]}>
          <View style={sheet.words}>
            <AppText>{subject}</AppText>
            <AppText as="small" soft>
              To {to}, tried {counted(tries, 'time', 'times')}
            </AppText>
          </View>
          <Button word="Try again" label={`Try again to mail ${to}: ${subject}`} onPress={() => tryAgain(id)} />
        </View>
      ))}
    </Section>
  );
}

const sheet = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, borderBottomWidth: 1, paddingVertical: 10 },
  words: { flex: 1, minWidth: 0 },
});
