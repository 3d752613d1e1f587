import { useEffect, useState } from 'react';
import type { DocumentType } from '@oilcan/core/plant/documents';
import type { FileType } from '@oilcan/core/plant/files';
import type { FileId } from '@oilcan/core/kernel';
import { readFile } from '../store/store';

/** Where a picture stands: an address to show it from, still being looked for, or not to be had without signal. */
export type PictureState = string | 'looking' | 'not-here';

/** A picture or another file from this phone, or from the server when it is not here. */
export function usePicture(id: FileId, mediaType: DocumentType | FileType): PictureState {
  const [state, setState] = useState<PictureState>('looking');
  useEffect(() => {
    let address: string | null = null;
    let isGone = false;
    void readFile(id, mediaType).then((file) => {
      if (isGone) return;
      if (file.is !== 'here') return setState('not-here');
      address = URL.createObjectURL(new Blob([file.content], { type: mediaType }));
      setState(address);
    });
    return () => {
      isGone = true;
      if (address !== null) URL.revokeObjectURL(address);
    };
  }, [id, mediaType]);
  return state;
}
