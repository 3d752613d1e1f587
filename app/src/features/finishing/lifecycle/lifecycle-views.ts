import { holdReasons, type HoldReason } from '@oilcan/core/orders/work';
import { holdWords, stateWords } from '../../../words/work-words';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const entries: EntryViewsNamed<'state'> = {
  state: {
    ...inWords,
    group: 'state',
    dock: null,
    say: ({ content }) => ({ headline: stateWords[content.to], detail: reasonWords(content.reason) }),
  },
};

function reasonWords(reason: string): string {
  const isHold = (text: string): text is HoldReason => holdReasons.some((each) => each === text);
  return isHold(reason) ? holdWords[reason] : reason;
}

const operations: OperationViewsNamed<
  | 'work.start'
  | 'work.hold'
  | 'work.resume'
  | 'work.finish'
  | 'work.accept'
  | 'work.hand-back'
  | 'work.drop'
  | 'owed.set'
> = {
  'work.start': byItsLabel,
  'work.hold': { say: null, fields: { note: 'Note' } },
  'work.resume': byItsLabel,
  'work.finish': byItsLabel,
  'owed.set': byItsLabel,
  'work.accept': byItsLabel,
  'work.hand-back': { say: null, fields: { reason: 'What is missing' } },
  'work.drop': { say: null, fields: { reason: 'Why it will not be done' } },
};

export const lifecycleViews = { entries, operations };
