import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { DeviceSession } from '../../../data/server/answers';
import { httpLink } from '../../../data/server/http-link';
import { now, useSettings } from '../../../data/store/store';
import { sentenceOfFailure, useAnswer } from '../../../data/store/use-answer';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';

/** Where I am signed in, and signing out what is not in my hand any more. */
export function DevicesSheet({ onClose }: { readonly onClose: () => void }): ReactElement {
  const [again, setAgain] = useState(0);
  const answered = useAnswer(httpLink.sessions, again);
  const say = useNotice((state) => state.say);
  const end = (device: DeviceSession): void => {
    httpLink.endSession(device.id).then(
      () => {
        say(`${device.device} is signed out.`);
        setAgain(again + 1);
      },
      (error: unknown) => say(sentenceOfFailure(error)),
    );
  };
  return (
    <BottomSheet title="My devices" onClose={onClose}>
      {answered.is === 'looking' ? <AppText live>Looking …</AppText> : null}
      {answered.is === 'without signal' ? <AppText live>Your devices show when there is signal.</AppText> : null}
      {answered.is === 'there'
        ? answered.answer.sessions.map((each) => (
            <DeviceRow
              key={each.id}
              device={each}
              isThis={each.id === answered.answer.present}
              onEnd={() => end(each)}
            />
          ))
        : null}
      <AppText soft>A device that is not used for 30 days is signed out by itself.</AppText>
    </BottomSheet>
  );
}

interface RowProps {
  readonly device: DeviceSession;
  readonly isThis: boolean;
  readonly onEnd: () => void;
}

function DeviceRow({ device, isThis, onEnd }: RowProps): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const say = (at: DeviceSession['lastUsedAt']): string =>
    settings === undefined ? '' : sayMoment(at, now(), settings.zone, settings.language);
  return (
    <View style={[sheet.row, { borderColor: palette.line }]}>
      <View style={sheet.words}>
        <AppText>{isThis ? `${device.device}, this one` : device.device}</AppText>
        <AppText as="small" soft>
          Signed in {say(device.signedInAt)}, last used {say(device.lastUsedAt)}
        </AppText>
      </View>
      {isThis ? null : <Button word="Sign out" label={`Sign out ${device.device}`} onPress={onEnd} />}
    </View>
  );
}

const sheet = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 10, borderBottomWidth: 1, paddingVertical: 8 },
  words: { flex: 1, minWidth: 0 },
});
