import { ofSite, type TablesNamed } from '../../../records/table';
import { carriedSince } from '../work/carried';
import type { ClockPlace, PlaceAgreement } from './clock-place';

declare module '../../../records/table' {
  interface TableTypes {
    placeAgreements: { row: PlaceAgreement; index: 'person' };
    clockPlaces: { row: ClockPlace; index: 'person' };
  }
}

const own = { ...ofSite, since: 11, seenBy: 'own', audienceIsFixed: true } as const;

/** Server and phones forget a place after so many days. */
const PLACES_KEPT_DAYS = 366;

/** Where people were is theirs: nobody else sees a row, and withdrawing removes them. */
export const clockPlaceTables: TablesNamed<'placeAgreements' | 'clockPlaces'> = {
  placeAgreements: { ...own, indexes: { person: (row) => row.personId } },
  clockPlaces: {
    ...own,
    indexes: { person: (row) => row.personId },
    isExpired: (row, now) => row.at <= carriedSince(now, PLACES_KEPT_DAYS),
  },
};
