import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from '../../ui/press';
import { PlayVoice } from '../attachments';
import { Picture } from '../photos';
import type { Taken } from './use-taken-along';

interface Props extends Taken {
  readonly onChange: (some: Partial<Taken>) => void;
}

/** The photo and the voice note that go along, to be looked at, heard, and left out again. */
export function TakenAlong({ photo, voice, onChange }: Props): ReactElement {
  return (
    <>
      {photo === null ? null : (
        <View style={sheet.taken}>
          <Picture content={{ ...photo, caption: 'Goes along' }} isSmall />
          <Button word="Leave it out" label="Leave the photo out" onPress={() => onChange({ photo: null })} />
        </View>
      )}
      {voice === null ? null : (
        <View style={sheet.taken}>
          <PlayVoice content={{ kind: 'voice', ...voice }} />
          <Button word="Leave it out" label="Leave the voice note out" onPress={() => onChange({ voice: null })} />
        </View>
      )}
    </>
  );
}

const sheet = StyleSheet.create({
  taken: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
});
