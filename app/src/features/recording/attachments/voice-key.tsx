import { useRef, type ReactElement } from 'react';
import { mdiMicrophoneOutline, mdiStop } from '@mdi/js';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useKeptVoice } from '../../../data/files/use-kept-voice';
import { useOperation } from '../../../data/store/use-operation';
import { FormRefusal } from '../../../forms/form-refusal';
import { Button } from '../../../ui/press/press';
import { formatClock } from '@oilcan/core/kernel';

/** Held longer than this, lifting the thumb ends the recording; else the next press does. */
const HOLD_MILLISECONDS = 600;

interface Props {
  readonly work: WorkOrder;
  readonly onKept: () => void;
}

/** A voice note: held while speaking, or pressed once to begin and once to end. */
export function VoiceKey({ work, onKept }: Props): ReactElement | null {
  const pressedAt = useRef(0);
  const { run, refusal, errorAt } = useOperation();
  const voice = useKeptVoice((said) => {
    void run('voice.add', { workOrderId: work.id, assetId: work.assetId, ...said }, 'Voice note kept.').then(
      (isKept) => {
        if (isKept) onKept();
      },
    );
  });
  if (voice === null) return null;
  const runs = voice.seconds !== null;
  const down = (): void => {
    pressedAt.current = performance.now();
    if (runs) voice.stop();
    else voice.start();
  };
  const up = (): void => {
    if (!runs && performance.now() - pressedAt.current < HOLD_MILLISECONDS) return;
    if (performance.now() - pressedAt.current >= HOLD_MILLISECONDS) voice.stop();
  };
  return (
    <>
      <Button
        icon={runs ? mdiStop : mdiMicrophoneOutline}
        word={runs ? `Stop ${formatClock(voice.seconds ?? 0)}` : 'Voice'}
        label={runs ? 'Stop the voice note' : 'Voice note: hold it, or press to begin'}
        onPress={() => undefined}
        onPressIn={down}
        onPressOut={up}
      />
      <FormRefusal sentence={voice.trouble ?? errorAt(refusal?.field ?? '')} />
    </>
  );
}
