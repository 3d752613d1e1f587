import { documentTypeOf, type AssetDocument } from '@oilcan/core/plant/documents';
import { pictureTypeOf } from '@oilcan/core/plant/files';
import type { DocumentBehind } from '@oilcan/paper/documents-behind';
import { asPng } from '../../../data/pictures/as-png';
import { readFile } from '../../../data/store/store';

/** A document that was chosen to go behind a job card, and which of its pages. */
export interface ChosenDocument {
  readonly document: AssetDocument;
  /** Null for all. */
  readonly pages: readonly number[] | null;
}

/** The chosen documents as they can be set into a PDF: from this phone, or from the server where there is signal. */
export function behindCard(chosen: readonly ChosenDocument[]): Promise<DocumentBehind[]> {
  return Promise.all(
    chosen.map(async ({ document, pages }): Promise<DocumentBehind> => {
      const read = await readFile(document.fileId, document.mediaType);
      return { name: document.name, pages, content: read.is === 'here' ? await settable(read.content) : null };
    }),
  );
}

async function settable(content: Uint8Array<ArrayBuffer>): Promise<DocumentBehind['content']> {
  const type = documentTypeOf(content, pictureTypeOf(content));
  if (type === 'application/pdf' || type === 'image/jpeg' || type === 'image/png') return { content, mediaType: type };
  const png = type === null ? null : await asPng(content, type);
  // What is no picture after all is said to be damaged by whoever sets it.
  return { content: png ?? content, mediaType: 'image/png' };
}
