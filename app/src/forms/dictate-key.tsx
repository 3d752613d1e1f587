import type { ReactElement } from 'react';
import { mdiTextRecognition } from '@mdi/js';
import type { Dictation } from '../data/browser/dictation';
import { Button } from '../ui/press/press';

/** What is spoken becomes words in a field; nothing where the browser cannot listen. */
export function DictateKey({ of: dictation }: { readonly of: Dictation | null }): ReactElement | null {
  if (dictation === null) return null;
  return (
    <Button
      icon={mdiTextRecognition}
      word={dictation.isListening ? 'Listening …' : 'Dictate'}
      onPress={dictation.toggle}
    />
  );
}
