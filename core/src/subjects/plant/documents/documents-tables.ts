import { ofSite, type TablesNamed } from '../../../records/table';
import type { AssetDocument } from './documents';

declare module '../../../records/table' {
  interface TableTypes {
    documents: { row: AssetDocument; index: 'site' | 'asset' | 'file' };
  }
}

export const documentsTables: TablesNamed<'documents'> = {
  documents: {
    ...ofSite,
    indexes: { site: (row) => row.siteId, asset: (row) => row.assetId, file: (row) => row.fileId },
  },
};
