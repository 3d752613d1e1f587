import { useEffect, useState } from 'react';
import type { FileId, PictureType } from '@oilcan/core';
import { readPicture } from '../store';

/** Where a picture stands: an address to show it from, still being looked for, or not to be had without signal. */
export type PictureState = string | 'looking' | 'not-here';

/** A picture from this phone, or from the server when it is not here. */
export function usePicture(id: FileId, mediaType: PictureType): PictureState {
  const [state, setState] = useState<PictureState>('looking');
  useEffect(() => {
    let address: string | null = null;
    let isGone = false;
    void readPicture(id, mediaType).then((content) => {
      if (isGone) return;
      if (content === null) return setState('not-here');
      address = URL.createObjectURL(new Blob([content], { type: mediaType }));
      setState(address);
    });
    return () => {
      isGone = true;
      if (address !== null) URL.revokeObjectURL(address);
    };
  }, [id, mediaType]);
  return state;
}
