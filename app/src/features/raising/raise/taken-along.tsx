import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from '../../../ui/press/press';
import { PlayVoice } from '../../recording/attachments';
import { Picture } from '../../recording/photos';
import type { Taken } from './taken';

interface Props extends Taken {
  readonly onChange: (some: Partial<Taken>) => void;
}

/** The photos and the voice note that go along, to be looked at, heard, and left out again. */
export function TakenAlong({ photos, voice, onChange }: Props): ReactElement {
  return (
    <>
      {photos.map((photo, index) => (
        <View key={`${photo.fileId} ${index}`} style={sheet.taken}>
          <Picture content={{ ...photo, caption: 'Goes along' }} isSmall />
          <Button
            word="Leave it out"
            label={photos.length === 1 ? 'Leave the photo out' : `Leave photo ${index + 1} out`}
            onPress={() => onChange({ photos: photos.filter((_, at) => at !== index) })}
          />
        </View>
      ))}
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
