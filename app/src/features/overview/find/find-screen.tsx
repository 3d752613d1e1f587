import { useEffect, useRef, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { prepareFinding } from '../../../data/find/use-found';
import { FindInput } from '../../../ui/fields/find-input';
import { AppText } from '../../../ui/theme/app-text';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { FoundList } from './found-list';

const FIND = 'Find anything';

/** Everything that the person may see, by any word of it. */
export function FindScreen(): ReactElement {
  const back = useBack('/shift');
  const [typed, setTyped] = useState('');
  const field = useRef<View>(null);
  useEffect(() => {
    prepareFinding();
    (field.current as unknown as HTMLElement | null)?.querySelector('input')?.focus();
  }, []);
  return (
    <View style={sheet.screen}>
      <TopBar title="Find" {...back} />
      <ScrollView role="main" contentContainerStyle={sheet.content} keyboardShouldPersistTaps="handled">
        <View ref={field} style={sheet.head}>
          <FindInput label={FIND} value={typed} onChange={setTyped} />
          {typed.trim() === '' ? (
            <AppText soft>
              A number, or any words: of a job, open or ended, its machine, place, person, kind, trade or part.
            </AppText>
          ) : null}
        </View>
        {typed.trim() === '' ? null : <FoundList typed={typed} />}
      </ScrollView>
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { width: '100%', maxWidth: 720, alignSelf: 'center' },
  head: { padding: 16, gap: 8 },
});
