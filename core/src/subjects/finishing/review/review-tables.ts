import { keyOfList, ofSite, type TablesNamed } from '../../../records/table';
import { isReviewKept, shownReview, type Review } from './review';

declare module '../../../records/table' {
  interface TableTypes {
    reviews: { row: Review; index: 'readers' | 'site' };
  }
}

export const reviewTables: TablesNamed<'reviews'> = {
  reviews: {
    ...ofSite,
    since: 12,
    indexes: { readers: (row) => keyOfList(row.readerIds), site: (row) => row.siteId },
    seenBy: 'given',
    shown: shownReview,
    isExpired: (row, now) => !isReviewKept(row, now),
  },
};
