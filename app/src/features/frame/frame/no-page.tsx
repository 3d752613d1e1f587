import { useRouter } from 'expo-router';
import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { useInPlaceOfFirstPaint } from '../../../ui/loading/first-paint';
import { Button } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';

/** At an address where there is nothing. */
export function NoPage(): ReactElement {
  const palette = usePalette();
  const router = useRouter();
  useInPlaceOfFirstPaint();
  return (
    <View role="main" style={[sheet.screen, { backgroundColor: palette.paper }]}>
      <AppText as="title" level={1}>
        There is nothing at this address
      </AppText>
      <AppText>It may have been mistyped, or belong to an older Oilcan. Your work is where it was.</AppText>
      <Button rank="primary" word="To my work" onPress={() => router.replace('/')} />
    </View>
  );
}

const sheet = StyleSheet.create({ screen: { flex: 1, padding: 16, gap: 12 } });
