import type { PutBacksNamed } from '../../orders/work/entry-kinds';
import { forgetReading } from './reading';

/** A value that was never read is not among the newest of its point. */
export const readingsPutBacks: PutBacksNamed<'reading'> = {
  reading: (records, _work, { content, at }) => forgetReading(records, content.pointId, at).then(() => null),
};
