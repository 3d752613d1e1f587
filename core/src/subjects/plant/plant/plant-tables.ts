import { ofSite, type TablesNamed } from '../../../records/table';
import type { Contact } from './contacts';
import type { Installation } from './installation';
import { codeOfTag } from './label-code';
import type { Asset, MeasuringPoint, Place } from './plant';

declare module '../../../records/table' {
  interface TableTypes {
    places: { row: Place; index: 'site' };
    assets: { row: Asset; index: 'site' | 'parent' | 'tag' };
    points: { row: MeasuringPoint; index: 'site' | 'asset' };
    installations: { row: Installation; index: 'site' | 'asset' };
    contacts: { row: Contact; index: 'site' };
  }
}

export const plantTables: TablesNamed<'places' | 'assets' | 'points' | 'installations' | 'contacts'> = {
  places: { ...ofSite, indexes: { site: (row) => row.siteId } },
  assets: {
    ...ofSite,
    indexes: {
      site: (row) => row.siteId,
      parent: (row) => row.parentId,
      /** Its own label. */
      tag: (row) => codeOfTag(row.tag),
    },
  },
  points: { ...ofSite, indexes: { site: (row) => row.siteId, asset: (row) => row.assetId } },
  installations: { ...ofSite, indexes: { site: (row) => row.siteId, asset: (row) => row.assetId } },
  contacts: { ...ofSite, indexes: { site: (row) => row.siteId } },
};
