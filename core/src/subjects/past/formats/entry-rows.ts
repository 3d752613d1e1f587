import { signedBy } from '../../../kernel/signature/signature';
import { typedMoney } from '../../../kernel/money/parse-money';
import type { Money } from '../../../kernel/money/money';
import { standingEntries, type Entry, type EntryContent } from '../../orders/work/entries';
import type { RecordSource } from './record-document';

/** The columns in which entries are written down, one line each. */
export const entryColumns = [
  'entry',
  'at',
  'kind',
  'by',
  'amends',
  'stands',
  'asset',
  'person',
  'from',
  'to',
  'minutes',
  'part',
  'quantity',
  'unit',
  'point',
  'value',
  'amount',
  'currency',
  'failureMode',
  'mechanism',
  'cause',
  'detection',
  'activity',
  'text',
] as const;
type Column = (typeof entryColumns)[number];
type Cells = Partial<Record<Column, string | number>>;

/** Entries as lines of a table, in the order of time: exact amounts with a decimal point, times in UTC (ISO 8601). */
export function entryRows(source: RecordSource): (string | number)[][] {
  const entries = [...source.entries].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
  const standing = new Set(standingEntries(entries).map(({ id }) => id));
  return entries.map((entry) => {
    const cells: Cells = { ...ofEntry(entry, standing.has(entry.id), source), ...ofContent(entry.content, source) };
    return entryColumns.map((column) => cells[column] ?? '');
  });
}

function ofEntry({ id, at, by, amends, assetId, content }: Entry, stands: boolean, source: RecordSource): Cells {
  return {
    entry: id,
    at,
    kind: content.kind,
    by: source.person(by)?.name ?? by,
    amends: amends ?? '',
    stands: stands ? 'yes' : 'no',
    asset: source.asset(assetId)?.tag ?? assetId,
  };
}

function ofContent(content: EntryContent, source: RecordSource): Cells {
  switch (content.kind) {
    case 'labor':
      return {
        person: source.person(content.personId)?.name ?? content.personId,
        from: content.startedAt,
        minutes: content.minutes,
        text: content.timeType,
        ...ofMoney(content.cost),
      };
    case 'part': {
      const part = source.part(content.partId);
      return {
        part: part?.number ?? content.partId,
        quantity: content.quantity / 1_000,
        unit: part?.unit ?? '',
        ...ofMoney(content.cost),
      };
    }
    case 'reading': {
      const point = source.point(content.pointId);
      return {
        point: point?.name ?? content.pointId,
        value: content.value,
        unit: point?.unit ?? '',
        text: content.level,
      };
    }
    case 'fault':
      return {
        failureMode: content.mode,
        mechanism: content.mechanism,
        cause: content.cause,
        detection: content.detection ?? '',
        activity: content.activity ?? '',
        text: [content.component, content.text].filter((each) => each !== '').join(': '),
      };
    case 'stoppage':
      return { from: content.from, to: content.to ?? '', text: content.extent };
    case 'expense':
      return { text: content.words, ...ofMoney(content.amount) };
    case 'service':
      return { text: content.words, ...ofMoney(content.cost) };
    case 'tool':
      return { from: content.startedAt, minutes: content.minutes, text: content.words, ...ofMoney(content.cost) };
    case 'note':
      return { text: content.text };
    case 'report':
      return { from: content.reportedAt, text: `${content.number} ${content.words}` };
    case 'photo':
      return { text: content.caption };
    case 'state':
      return { from: content.from, to: content.to, text: content.reason };
    case 'none':
      return { text: content.of };
    case 'withdrawal':
      return { text: content.reason };
    case 'given':
      return { person: content.from, text: content.condition };
    case 'returned':
      return { person: signedBy(content.signature), text: content.condition };
    default:
      // Its kind and its time are all that a line can say of it; the document of the record has the rest.
      return {};
  }
}

function ofMoney(amount: Money | null): Cells {
  return amount === null ? {} : { amount: typedMoney(amount), currency: amount.currency };
}
