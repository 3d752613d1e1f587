import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { useInstall } from '../../../data/browser/install';
import { keptChoice } from '../../../ui/state/kept-choice';
import { Button } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';

/** Whether it was offered on this device already. */
const useWasOffered = keptChoice('oilcan.install-offered', false, { read: Boolean, isPersonal: false });

/** Among what concerns me: install Oilcan, where the browser can. */
export function InstallButton(): ReactElement | null {
  const install = useInstall();
  return install === null ? null : <Button word="Install Oilcan" onPress={install} />;
}

/** On a list, once: Oilcan can be installed. Never over a job. */
export function InstallOffer(): ReactElement | null {
  const palette = usePalette();
  const install = useInstall();
  const { value: isOver, choose: setIsOver } = useWasOffered();
  if (install === null || isOver) return null;
  const done = (): void => {
    setIsOver(true);
  };
  return (
    <View style={[sheet.offer, { borderColor: palette.line }]} role="region" aria-label="Install">
      <AppText>Oilcan can be installed. Then it opens like any application, with or without signal.</AppText>
      <View style={sheet.buttons}>
        <Button
          word="Install"
          onPress={() => {
            done();
            install();
          }}
        />
        <Button word="Not now" onPress={done} />
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  offer: { borderTopWidth: 1, borderBottomWidth: 1, padding: 12, gap: 8 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
