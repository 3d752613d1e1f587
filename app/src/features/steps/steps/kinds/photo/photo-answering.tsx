import { mdiCamera } from '@mdi/js';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { takePicture } from '../../../../../data/pictures/take-picture';
import { FormRefusal } from '../../../../../forms/form-refusal';
import { Picture } from '../../../../recording/photos';
import { Beside } from '../beside';
import type { AnsweringProps } from '../kind-answering';
import { ValueButton } from '../value-button';

export function PhotoAnswering({ step, answer, canAnswer, onAnswer, words }: AnsweringProps<'photo'>): ReactElement {
  const [error, setError] = useState<string | null>(null);
  const photograph = async (): Promise<void> => {
    setError(null);
    const taken = await takePicture();
    if (taken.is === 'failed') setError(taken.sentence);
    if (taken.is !== 'kept') return;
    const { id: fileId, mediaType, width, height } = taken.picture;
    onAnswer({ type: 'photo', fileId, mediaType, width, height });
  };
  return (
    <View>
      <Beside words={words}>
        <View style={sheet.answer}>
          {answer === null ? null : <Picture content={{ ...answer, caption: step.text }} isSmall />}
          <ValueButton
            word={answer === null ? 'Photo' : 'Another'}
            label={answer === null ? `Photo: ${step.text}` : `Another photo: ${step.text}`}
            icon={mdiCamera}
            isGiven={answer !== null}
            disabled={!canAnswer}
            onPress={() => void photograph()}
          />
        </View>
      </Beside>
      <FormRefusal sentence={error} />
    </View>
  );
}

const sheet = StyleSheet.create({ answer: { flexDirection: 'row', alignItems: 'center', gap: 8 } });
