import { sentenceFor } from '@oilcan/core/registry';
import { keepPicture } from '../store/store';
import { choosePicture } from './choose-picture';
import { headOf, whyUnreadable } from './why-unreadable';
import { shrinkPicture, type ShrunkPicture } from '../browser/shrink-picture';

/** A picture that is kept on this phone, why there is none, or that the person thought better of it. */
export type TakenPicture =
  | { readonly is: 'kept'; readonly picture: ShrunkPicture }
  | { readonly is: 'failed'; readonly sentence: string }
  | { readonly is: 'none' };

/** Lets the person take or choose a picture, and keeps it, made small. */
export async function takePicture(): Promise<TakenPicture> {
  const chosen = await choosePicture();
  if (chosen === null) return { is: 'none' };
  const why = whyUnreadable(chosen, await headOf(chosen));
  if (why !== null) return { is: 'failed', sentence: why };
  const picture = await shrinkPicture(chosen);
  if (picture === null) return { is: 'failed', sentence: 'This picture is damaged. Choose another, or take one.' };
  const refusal = await keepPicture(picture);
  return refusal === null
    ? { is: 'kept', picture }
    : { is: 'failed', sentence: sentenceFor(refusal.code, refusal.values) };
}
