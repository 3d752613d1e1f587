import type { Report } from '@oilcan/core/raising/reports';
import { saveTable } from '../../../data/browser/save-table';
import { peekRow } from '../../../data/store/store';
import { reporterWords, reportStateWords } from './report-words';

const columns = [
  'number',
  'at',
  'state',
  'urgency',
  'words',
  'machine',
  'tag',
  'place',
  'condition',
  'danger',
  'since',
  'reporter',
  'others',
  'answered_at',
  'ended_at',
  'work_order',
] as const;

/** Reports as CSV, one a line. */
export function saveReports(reports: readonly Report[]): void {
  saveTable('reports', columns, reports.map(lineOf));
}

function lineOf(report: Report): (string | number)[] {
  const { number, at, state, urgency, words, condition, danger, since, others, answeredAt, endedAt } = report;
  const asset = report.assetId === null ? undefined : peekRow('assets', report.assetId);
  const taken = report.events.findLast((event) => event.is === 'taken');
  return [
    number,
    at,
    reportStateWords[state],
    urgency,
    words,
    asset?.name ?? '',
    asset?.tag ?? '',
    peekRow('places', report.placeId)?.name ?? '',
    condition ?? '',
    danger === null ? '' : String(danger),
    since ?? '',
    reporterWords({ ...report, others: [] }),
    others.length,
    answeredAt ?? '',
    endedAt ?? '',
    taken?.is === 'taken' ? taken.number : '',
  ];
}
