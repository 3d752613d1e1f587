import type { PersonId, ReportId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { Records } from '../../../records/records';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';
import { entryBeside } from '../../orders/work/entry-ids';
import { newEntry } from '../../orders/work/guards';
import type { OperationContext } from '../../../operations/operation';
import type { WorkOrder } from '../../orders/work/work-order';
import type { Report } from './report';

/** That a report is answered by the work: it stands in its record, and in the past of the machine. */
export interface ReportContent {
  readonly kind: 'report';
  readonly reportId: ReportId;
  /** `P-311`. */
  readonly number: string;
  readonly words: string;
  readonly reportedAt: Instant;
  /** Who reported it: null for somebody without an account, left out where it was not noted. Taken up it was by whom the entry is. */
  readonly reportedBy?: PersonId | null;
}

/** A report as a past keeps it. */
export interface PastReport {
  readonly number: string;
  readonly words: string;
  readonly at: Instant;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    report: ReportContent;
  }
}

declare module '../../orders/work/entry-kinds' {
  interface PastKept {
    report: PastReport;
  }
}

export const reportsEntries: EntryKindsNamed<'report'> = {
  report: {
    ...plainEntry,
    since: 14,
    cells: ({ number, words, reportedAt }) => ({ from: reportedAt, text: `${number} ${words}` }),
    past: {
      keep: (entries) =>
        entries.map(({ content: { number, words, reportedAt } }) => ({ number, words, at: reportedAt })),
      at: ({ at }) => at,
      words: ({ number, words }) => `${number} ${words}`,
    },
  },
};

/** Puts a report into the record of the work that answers it, as one of several of the same operation. */
export async function noteReportOn(
  records: Records,
  work: WorkOrder,
  { id: reportId, number, words, at: reportedAt, by: reportedBy }: Report,
  index: number,
  context: OperationContext,
): Promise<void> {
  const entry = newEntry(work, { kind: 'report', reportId, number, words, reportedAt, reportedBy }, context);
  await records.put('entries', { ...entry, id: entryBeside(context.entryId, `report-${index}`) });
}
