import { useState, type ReactElement } from 'react';
import { mdiCamera } from '@mdi/js';
import type { Receipt } from '@oilcan/core/recording/expenses';
import { takePicture } from '../../../data/pictures/take-picture';
import { Button } from '../../../ui/press/press';

interface Paper {
  /** As operations take it. */
  readonly receipt: Receipt | null;
  /** Why a photo could not be kept. */
  readonly error: string | null;
  readonly take: () => void;
}

/** The photo of a receipt or a delivery note that goes with a cost. */
export function usePaper(receipt: Receipt | null, onTaken: (receipt: Receipt) => void): Paper {
  const [error, setError] = useState<string | null>(null);
  const take = async (): Promise<void> => {
    const taken = await takePicture();
    setError(taken.is === 'failed' ? taken.sentence : null);
    if (taken.is !== 'kept') return;
    const { id: fileId, mediaType, width, height } = taken.picture;
    onTaken({ fileId, mediaType, width, height });
  };
  return { receipt, error, take: () => void take() };
}

/** Takes the photo, or another in its place. */
export function PaperButton({ paper }: { readonly paper: Paper }): ReactElement {
  return (
    <Button
      word={paper.receipt === null ? 'Photo of the paper' : 'Another photo'}
      icon={mdiCamera}
      onPress={paper.take}
    />
  );
}
