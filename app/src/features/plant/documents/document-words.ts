import type { AssetDocument, DocumentType } from '@oilcan/core/plant/documents';

const typeWords: Readonly<Record<DocumentType, string>> = {
  'application/pdf': 'PDF',
  'image/svg+xml': 'Drawing',
  'image/jpeg': 'Picture',
  'image/png': 'Picture',
  'image/webp': 'Picture',
};

/** `PDF, 14 kB`. */
export function documentWords({ mediaType, bytes }: Pick<AssetDocument, 'mediaType' | 'bytes'>): string {
  return `${typeWords[mediaType]}, ${sizeWords(bytes)}`;
}

export function sizeWords(bytes: number): string {
  if (bytes < 1_000_000) return `${Math.max(1, Math.round(bytes / 1_000))} kB`;
  return `${Math.round(bytes / 1_000_000)} MB`;
}

export function typeWord(type: DocumentType): string {
  return typeWords[type];
}
