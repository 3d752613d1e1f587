import { useState } from 'react';
import type { ReportPhoto } from '@oilcan/core/raising/reports';
import { takePicture } from './take-picture';

interface PhotoTaken {
  readonly photo: ReportPhoto | null;
  /** Why there is none, in a sentence. */
  readonly trouble: string | null;
  readonly take: () => Promise<void>;
}

/** A photo that goes along with what is about to be reported; taken again, the newer one does. */
export function useReportPhoto(): PhotoTaken {
  const [photo, setPhoto] = useState<ReportPhoto | null>(null);
  return { photo, ...useCamera(setPhoto) };
}

/** Takes a photo and keeps it on this phone; `onTaken` says where it goes. */
export function useCamera(onTaken: (photo: ReportPhoto) => void): Omit<PhotoTaken, 'photo'> {
  const [trouble, setTrouble] = useState<string | null>(null);
  const take = async (): Promise<void> => {
    const taken = await takePicture();
    setTrouble(taken.is === 'failed' ? taken.sentence : null);
    if (taken.is !== 'kept') return;
    const { id: fileId, mediaType, width, height } = taken.picture;
    onTaken({ fileId, mediaType, width, height });
  };
  return { trouble, take };
}
