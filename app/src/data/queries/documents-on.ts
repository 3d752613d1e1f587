import { useMemo } from 'react';
import type { AssetDocument } from '@oilcan/core/plant/documents';
import type { AssetId } from '@oilcan/core/kernel';
import { peekRow, peekRows, useTable } from '../store/store';

/** The documents of a machine, and after them those of what it is part of, the nearest first. */
export function documentsOn(assetId: AssetId): readonly AssetDocument[] {
  const seen = new Set<AssetId>();
  const found: AssetDocument[] = [];
  for (let id: AssetId | null = assetId; id !== null && !seen.has(id); id = peekRow('assets', id)?.parentId ?? null) {
    seen.add(id);
    found.push(...peekRows('documents', 'asset', id));
  }
  return found;
}

/** The same, followed. */
export function useDocumentsOn(assetId: AssetId): readonly AssetDocument[] {
  const documents = useTable('documents');
  const assets = useTable('assets');
  // They are looked up again whenever one of these tables is another.
  return useMemo(
    () => (documents.length + assets.length === 0 ? [] : documentsOn(assetId)),
    [documents, assets, assetId],
  );
}
