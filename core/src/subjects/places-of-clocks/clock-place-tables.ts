import { ofSite, type TablesNamed } from '../../records/table';
import type { ClockPlace, PlaceAgreement } from './clock-place';

declare module '../../records/table' {
  interface TableTypes {
    placeAgreements: { row: PlaceAgreement; index: 'person' };
    clockPlaces: { row: ClockPlace; index: 'person' };
  }
}

const own = { ...ofSite, since: 11, seenBy: 'own', audienceIsFixed: true } as const;

/** Where people were is theirs: nobody else sees a row, and withdrawing removes them. */
export const clockPlaceTables: TablesNamed<'placeAgreements' | 'clockPlaces'> = {
  placeAgreements: { ...own, indexes: { person: (row) => row.personId } },
  clockPlaces: { ...own, indexes: { person: (row) => row.personId } },
};
