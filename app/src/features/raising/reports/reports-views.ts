import type { PersonId } from '@oilcan/core/kernel';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { Names } from '../../frame/views/names';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

type Named =
  | 'report.make'
  | 'report.say'
  | 'report.say-aloud'
  | 'report.me-too'
  | 'report.me-too-on-work'
  | 'report.ask'
  | 'report.send-to-look'
  | 'report.confirm'
  | 'report.join'
  | 'report.decline'
  | 'report.name-machine';

const entries: EntryViewsNamed<'report'> = {
  report: {
    ...inWords,
    group: 'notes',
    dock: null,
    say: ({ content }, names) => ({
      headline: content.words,
      detail: `${content.number}${reportedWords(content.reportedBy, names)}, taken up`,
    }),
    past: { many: 'Reports', line: ({ number, words }) => `${number}: ${words}` },
  },
};

/** By whom a report was made; who took it up stands beside the entry as of every entry. */
function reportedWords(by: PersonId | null | undefined, names: Names): string {
  if (by === undefined) return '';
  return ` reported ${by === null ? 'without an account' : `by ${names.person(by)?.name ?? 'somebody'}`}`;
}

const operations: OperationViewsNamed<Named> = {
  'report.make': { say: ({ words }) => `Reported: ${words}`, fields: { words: 'What is wrong' } },
  'report.say': { say: ({ words }) => `More about a report: ${words}`, fields: { words: 'What there is to add' } },
  'report.say-aloud': byItsLabel,
  'report.me-too': byItsLabel,
  'report.me-too-on-work': byItsLabel,
  'report.ask': { say: ({ words }) => `Asked back: ${words}`, fields: { words: 'The question' } },
  'report.send-to-look': byItsLabel,
  'report.confirm': { say: null, fields: { words: 'What you saw' } },
  'report.join': byItsLabel,
  'report.decline': { say: ({ reason }) => `Declined: ${reason}`, fields: { reason: 'Why' } },
  'report.name-machine': byItsLabel,
};

export const reportsViews = { entries, operations };
