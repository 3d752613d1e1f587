import type { Voice } from '../data/files/use-voice';
import type { TakenPicture } from '../data/pictures/take-picture';

/** What the pretended camera sees. */
export const seen = { id: 'a'.repeat(64), mediaType: 'image/jpeg', width: 40, height: 30 };
/** What the pretended microphone hears. */
const heard = { content: new Uint8Array([1, 2, 3]), mediaType: 'audio/webm', seconds: 7 } as const;

/** Nothing here draws or plays it, so any address will do. */
function giveAddresses(): void {
  URL.createObjectURL = () => 'blob:made';
  URL.revokeObjectURL = () => undefined;
}

/** In the place of `data/pictures/take-picture`: a picture at once, as if it were kept. */
export const takePicture = (): Promise<TakenPicture> => {
  giveAddresses();
  return Promise.resolve({ is: 'kept', picture: seen as never });
};

/** In the place of `data/files/use-voice`: a press, and all is said. */
export const useVoice = (onRecorded: (voice: Voice) => void) => ({
  seconds: null,
  error: null,
  start: (): void => {
    giveAddresses();
    onRecorded(heard);
  },
  stop: (): void => undefined,
});
