import type { AssetId, FileId, SiteId } from '../../../kernel/ids';
import type { PictureType } from '../files/files';

export type DocumentType = 'application/pdf' | 'image/svg+xml' | PictureType;

/** Larger documents are opened only with signal, and not carried. */
export const CARRIED_DOCUMENT_BYTES = 24 * 1024 * 1024;
/** Larger ones are not opened on a phone at all. */
export const OPENED_DOCUMENT_BYTES = 100 * 1024 * 1024;

/** A manual, drawing or procedure of an asset. */
export interface AssetDocument {
  readonly id: string;
  readonly siteId: SiteId;
  readonly assetId: AssetId;
  readonly name: string;
  readonly mediaType: DocumentType;
  readonly bytes: number;
  readonly fileId: FileId;
}

/** What a file's first bytes say it is; null for none that is shown. An SVG is text, so more of it is looked at. */
export function documentTypeOf(bytes: Uint8Array, pictureType: PictureType | null): DocumentType | null {
  if (pictureType !== null) return pictureType;
  const head = new TextDecoder('utf-8', { fatal: false }).decode(bytes.subarray(0, 1024));
  if (head.startsWith('%PDF-')) return 'application/pdf';
  return /^\uFEFF?\s*(?:<\?xml[^>]*\?>\s*)?(?:<!--[\s\S]*?-->\s*)*<svg[\s>]/i.test(head) ? 'image/svg+xml' : null;
}
