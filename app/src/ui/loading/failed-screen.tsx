import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { useInPlaceOfFirstPaint } from './first-paint';
import { Button } from '../press/press';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

interface Props {
  readonly error: Error;
  /** Draws once more what failed. */
  readonly retry: () => Promise<void>;
}

/** In the place of a screen that failed. What was recorded is kept all the same, and what went wrong can be told. */
export function FailedScreen({ error, retry }: Props): ReactElement {
  const palette = usePalette();
  useInPlaceOfFirstPaint();
  return (
    <View role="alert" style={[sheet.screen, { backgroundColor: palette.paper }]}>
      <AppText as="title" level={1}>
        This screen failed
      </AppText>
      <AppText>What you recorded is kept. Try again, or load Oilcan again.</AppText>
      <AppText soft>If it fails again, tell whoever looks after Oilcan what it says here: {error.message}</AppText>
      <View style={sheet.buttons}>
        <Button rank="primary" word="Try again" onPress={() => void retry()} />
        <Button word="Load Oilcan again" onPress={() => window.location.assign('/')} />
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, padding: 16, gap: 10 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
