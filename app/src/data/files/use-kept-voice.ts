import { useState } from 'react';
import type { FileId } from '@oilcan/core/kernel';
import type { SoundType } from '@oilcan/core/plant/files';
import { sentenceFor } from '@oilcan/core/registry';
import { keepFile } from '../store/store';
import { nameOf } from '../browser/name-of';
import { useVoice } from './use-voice';

/** What was said, kept on this phone under the name that its content has. */
export interface KeptVoice {
  readonly fileId: FileId;
  readonly mediaType: SoundType;
  readonly seconds: number;
}

interface Recording {
  /** Seconds that it has run; null while nothing is recorded. */
  readonly seconds: number | null;
  /** Why nothing was recorded or kept, in a sentence. */
  readonly trouble: string | null;
  readonly start: () => void;
  readonly stop: () => void;
}

/** Records the voice of the person and keeps it on this phone; null where the browser cannot. */
export function useKeptVoice(onKept: (voice: KeptVoice) => void): Recording | null {
  const [notKept, setNotKept] = useState<string | null>(null);
  const voice = useVoice(({ content, mediaType, seconds }) => {
    const fileId = nameOf(content);
    void keepFile(fileId, mediaType, content).then((refused) => {
      setNotKept(refused === null ? null : sentenceFor(refused.code, refused.values));
      if (refused === null) onKept({ fileId, mediaType, seconds });
    });
  });
  if (voice === null) return null;
  const { seconds, error, start, stop } = voice;
  return { seconds, trouble: notKept ?? error, start, stop };
}
