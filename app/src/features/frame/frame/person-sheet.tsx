import { useRouter } from 'expo-router';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiLogout } from '@mdi/js';
import { settleAccepting } from '../../../data/store/accepting';
import { signOut, usePhone, useSettings } from '../../../data/store/store';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { forgetChoices } from '../../../ui/state/kept-choice';
import { useLighting, type Lighting } from '../../../ui/theme/lighting';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Button } from '../../../ui/press/press';
import { Segments } from '../../../ui/fields/segments';
import { useIsWindowWide } from '../../../ui/theme/theme';
import { AppText } from '../../../ui/theme/app-text';
import { useLetterKeys } from '../keys/use-keys';
import { counted, roleWords } from '../../../words/work-words';
import { InstallButton } from '../page/install';

const lightings: readonly (readonly [Lighting, string])[] = [
  ['as the device', 'As the device'],
  ['day', 'Day'],
  ['night', 'Night'],
];

const onOrOff: readonly (readonly ['on' | 'off', string])[] = [
  ['on', 'On: ? lists them'],
  ['off', 'Off'],
];

const DevicesSheet = lazyComponent(() => import('./devices-sheet').then((module) => module.DevicesSheet));
const CalendarSheet = lazyComponent(() => import('./calendar-sheet').then((module) => module.CalendarSheet));
const PasswordSheet = lazyComponent(() => import('./password-sheet').then((module) => module.PasswordSheet));

/** Who I am here, day or night, my devices, and the way out. */
export function PersonSheet({ onClose }: { readonly onClose: () => void }): ReactElement | null {
  const router = useRouter();
  const person = usePhone((state) => state.person);
  const unsent = usePhone((state) => state.kept.filter((each) => each.where !== 'sent').length);
  const settings = useSettings();
  const { value: lighting, choose } = useLighting();
  const letterKeys = useLetterKeys();
  const isWide = useIsWindowWide();
  const [isAsking, setIsAsking] = useState(false);
  const [opened, setOpened] = useState<'devices' | 'password' | 'calendar' | null>(null);
  if (person === null) return null;
  const trade = settings?.trades.find((each) => each.id === person.tradeId)?.name;
  const leave = async (): Promise<void> => {
    await settleAccepting();
    await signOut();
    forgetChoices();
    router.replace('/sign-in');
  };
  if (opened === 'devices') return <DevicesSheet onClose={onClose} />;
  if (opened === 'password') return <PasswordSheet onClose={onClose} />;
  if (opened === 'calendar') return <CalendarSheet onClose={onClose} />;
  return (
    <BottomSheet title={person.name} onClose={onClose}>
      <AppText soft>
        {person.roles.map((role) => roleWords[role]).join(', ')}
        {trade === undefined ? '' : ` · ${trade}`} · {settings?.organization ?? ''}
      </AppText>
      <AppText as="label">Colours</AppText>
      <Segments label="Colours" value={lighting} choices={lightings} onChoose={choose} />
      {isWide ? (
        <>
          <AppText as="label">Single letters as keys</AppText>
          <Segments
            label="Single letters as keys"
            value={letterKeys.value ? 'on' : 'off'}
            choices={onOrOff}
            onChoose={(value) => letterKeys.choose(value === 'on')}
          />
        </>
      ) : null}
      <View style={sheet.buttons}>
        <Button word="My devices" onPress={() => setOpened('devices')} />
        <Button word="Change my password" onPress={() => setOpened('password')} />
        <Button word="My calendar link" onPress={() => setOpened('calendar')} />
        <InstallButton />
      </View>
      {isAsking ? (
        <View style={sheet.ask}>
          <AppText>
            {counted(unsent, 'record is', 'records are')} only on this phone. When you sign out,{' '}
            {unsent === 1 ? 'it waits' : 'they wait'} here until you sign in again on this phone. Nobody else sees or
            sends {unsent === 1 ? 'it' : 'them'}.
          </AppText>
          <Button word="Stay signed in" rank="primary" onPress={onClose} />
          <Button word="Sign out all the same" onPress={() => void leave()} />
        </View>
      ) : (
        <Button word="Sign out" icon={mdiLogout} onPress={() => (unsent > 0 ? setIsAsking(true) : void leave())} />
      )}
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({
  ask: { gap: 10 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
