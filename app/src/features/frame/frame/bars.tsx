import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { useApplicationUpdate } from '../../../data/browser/application-update';
import { noteKeepingRead, usePhone, type Keeping } from '../../../data/store/store';
import { Button } from '../../../ui/press/press';
import { RULE } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayClockAhead } from '../unsent';

/** On the lists, never over a job: a newer Oilcan is there, to be taken when it suits. */
export function UpdateBar(): ReactElement | null {
  const take = useApplicationUpdate((state) => state.take);
  if (take === null) return null;
  return <Bar words="A newer Oilcan is on this phone. What you recorded stays." button="Take it" onPress={take} />;
}

/** On the lists: the clock of this phone is wrong. Said once for each difference. */
export function ClockBar(): ReactElement | null {
  const ahead = usePhone((state) => state.clockAhead);
  const [readFor, setReadFor] = useState<number | null>(null);
  const words = sayClockAhead(ahead);
  if (words === null || readFor === ahead) return null;
  return <Bar words={words} button="Good" onPress={() => setReadFor(ahead)} />;
}

const reload = (): void => window.location.reload();

/** What somebody must know before they record anything here, and what they can do about it. */
const keepingWords: Readonly<Record<Exclude<Keeping, 'well'>, readonly [string, string, () => void]>> = {
  'not-at-all': [
    'This browser keeps nothing: what has not been sent is lost when the page closes. A private window does this. Open Oilcan in a normal one to work without signal.',
    'I know',
    noteKeepingRead,
  ],
  outdated: [
    'Oilcan was updated in another window. This window can keep nothing more. Load it again before you go on.',
    'Load again',
    reload,
  ],
  'taken-away': [
    'This browser had removed what Oilcan kept on this phone. If something was not sent, it is gone; look at what you did last. To prevent it, add Oilcan to the home screen.',
    'I have read it',
    noteKeepingRead,
  ],
  'taken-away-sent': [
    'This browser has removed what Oilcan kept on this phone. All of it had been sent, and nothing is lost. Load Oilcan again to go on.',
    'Load again',
    reload,
  ],
};

/** Over every screen: this browser does not keep what is recorded as it should. */
export function KeepingBar(): ReactElement | null {
  const keeping = usePhone((state) => state.keeping);
  if (keeping === 'well') return null;
  const [words, button, onPress] = keepingWords[keeping];
  return <Bar words={words} button={button} onPress={onPress} isAlert />;
}

interface BarProps {
  readonly words: string;
  readonly button: string;
  readonly onPress: () => void;
  readonly isAlert?: boolean;
}

function Bar({ words, button, onPress, isAlert = false }: BarProps): ReactElement {
  const palette = usePalette();
  return (
    <View
      role={isAlert ? 'alert' : 'status'}
      style={[
        sheet.bar,
        { borderColor: palette.line, backgroundColor: palette.card },
        isAlert && [sheet.alert, { borderLeftColor: palette.faulty }],
      ]}
    >
      <AppText style={sheet.words}>{words}</AppText>
      <Button word={button} onPress={onPress} />
    </View>
  );
}

const sheet = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    justifyContent: 'flex-end',
    gap: 12,
    paddingHorizontal: 16,
    paddingVertical: 8,
    borderBottomWidth: RULE,
  },
  alert: { borderLeftWidth: 6 },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 220 },
});
