import type { ReactElement } from 'react';
import { mdiMicrophoneOutline, mdiStop } from '@mdi/js';
import { formatClock } from '@oilcan/core/kernel';
import type { useKeptVoice } from '../../../data/files/use-kept-voice';
import { Button } from '../../../ui/press/press';

interface Props {
  readonly voice: ReturnType<typeof useKeptVoice>;
  /** A voice note is there already, which the next one replaces. */
  readonly isSaid?: boolean;
}

/** A voice note: pressed once to begin, and once to end; nothing where the browser cannot record. */
export function VoiceToggle({ voice, isSaid = false }: Props): ReactElement | null {
  if (voice === null) return null;
  const { seconds, start, stop } = voice;
  return seconds === null ? (
    <Button
      icon={mdiMicrophoneOutline}
      word={isSaid ? 'Voice again' : 'Voice'}
      label={isSaid ? 'Voice note: speak again' : 'Voice note: press to begin'}
      onPress={start}
    />
  ) : (
    <Button icon={mdiStop} word={`Stop ${formatClock(seconds)}`} onPress={stop} />
  );
}
