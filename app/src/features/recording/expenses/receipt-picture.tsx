import type { ReactElement } from 'react';
import type { Receipt } from '@oilcan/core/recording/expenses';
import { Picture } from '../photos';

interface Props {
  readonly content: { readonly receipt: Receipt | null; readonly words: string };
  readonly isSmall?: boolean;
}

/** The photo of a paper beside what it is about. */
export function ReceiptPicture({ content, isSmall = false }: Props): ReactElement | null {
  if (content.receipt === null) return null;
  return <Picture content={{ ...content.receipt, caption: `Receipt: ${content.words}` }} isSmall={isSmall} />;
}
