import { formatQuantity } from '../../../kernel/quantity/quantity';
import { inZone, type Zone } from '../../../kernel/time/zone';
import { anyEntryKind, type EntryKindSet } from '../../orders/work/entry-kinds';
import type { WorkState } from '../../orders/work/work-order';
import type { NoticeFact } from '../../orders/work/notice-fact';
import type { Notice, NoticeKind } from './notices';

/** Sentences of notices, for the screens and for the mails: both say the same. */
export const noticeHeadlines: Readonly<Record<NoticeKind, string>> = {
  given: 'Given to you',
  late: 'Late',
  handedBack: 'Handed back',
  changed: 'Changed',
  short: 'Parts short for tomorrow',
  count: 'Count a bin',
  finished: 'Finished, waits for your look',
  forYou: 'Recorded in your name',
  timeOwed: 'Your time is missing',
  reported: 'Reported',
  answered: 'Your report',
  look: 'Go and look',
  goAhead: 'Raised, waits for your go-ahead',
  mayStart: 'May start now',
  postponed: 'Moved to later',
  asked: 'Asked of the store',
  fromStore: 'From the store',
};

const stateWords: Readonly<Record<WorkState, string>> = {
  ready: 'now ready',
  underway: 'now underway',
  held: 'now held',
  finished: 'now finished',
  accepted: 'now accepted',
  dropped: 'now dropped',
};

function sayFact(kinds: EntryKindSet, fact: NoticeFact, zone: Zone): string {
  switch (fact.is) {
    case 'state':
      return stateWords[fact.state];
    case 'raised':
      return 'new on a machine that you follow';
    case 'hazardAdded':
      return 'a hazard was added';
    case 'dueChanged':
      return 'due at another time';
    case 'recorded':
      return anyEntryKind(kinds, fact.kind)?.notificationText ?? 'an entry';
    case 'reason':
      return fact.reason;
    case 'short': {
      const jobs = fact.jobs === 1 ? '' : ` for ${fact.jobs} jobs`;
      return `${fact.part}: ${formatQuantity(fact.onHand)} of ${formatQuantity(fact.needed)} ${fact.unit}${jobs}`;
    }
    case 'belowZero':
      return `${fact.part} in bin ${fact.bin} stands at ${formatQuantity(fact.onHand)} ${fact.unit} by the books`;
    case 'timeMissing':
      return 'add it, or say that there was none';
    case 'request':
      return sayRequest(fact);
    case 'share':
      return fact.steps === 1 ? 'one step as your share' : `${fact.steps} steps as your share`;
    case 'report':
      return sayReport(fact);
    case 'incident':
      return incidentWords[fact.kind];
    case 'clockStopped':
      return `${fact.by} stopped your clock at ${inZone(fact.at, zone).toFormat('HH:mm')}: ${fact.reason}`;
    case 'lockOff':
      return `${fact.by} took off your lock at ${fact.device}: ${fact.reason}`;
  }
}

/** What became of a report, for whoever is told of it. */
function sayReport({ became, words }: Extract<NoticeFact, { is: 'report' }>): string {
  switch (became) {
    case 'new':
      return words;
    case 'said':
      return words === '' ? 'more was added' : `added: ${words}`;
    case 'asked':
      return `a question: ${words}`;
    case 'look':
      return 'somebody goes and looks';
    case 'confirmed':
      return 'seen, and it is so';
    case 'taken':
      return `taken up as ${words}`;
    case 'joined':
      return `joined to ${words}`;
    case 'declined':
      return `nothing is done about it: ${words}`;
    case 'solved':
      return `solved by ${words}`;
    case 'reopened':
      return `${words} is worked on again`;
    case 'dropped':
      return `${words} was dropped; somebody looks at it again`;
  }
}

/** What became of something that was asked of a store, for whoever is told of it. */
function sayRequest({ became, quantity, unit, words }: Extract<NoticeFact, { is: 'request' }>): string {
  const amount = `${formatQuantity(quantity)} ${unit}`;
  switch (became) {
    case 'asked':
      return words === '' ? amount : `${amount}, ${words}`;
    case 'changed':
      return `now ${amount}`;
    case 'ready':
      return words === '' ? `${amount} lie ready` : `${amount} lie ready at ${words}`;
    case 'along':
      return words === '' ? `${amount} are on the way` : `${amount} are on the way with ${words}`;
    case 'handedOut':
      return `${amount} handed out`;
    case 'declined':
      return `the store cannot give it: ${words}`;
    case 'withdrawn':
      return 'not needed any more';
  }
}

const incidentWords = {
  injury: 'somebody was hurt',
  nearMiss: 'a near miss',
  damage: 'something was damaged',
  environment: 'something was spilled or released',
} as const;

/** What a notice tells beside its headline; empty for nothing more. */
export function detailOf(kinds: EntryKindSet, { facts }: Pick<Notice, 'facts'>, zone: Zone): string {
  return facts.map((fact) => sayFact(kinds, fact, zone)).join(', ');
}

/** `Handed back: still wet`. */
export function headlineOf(kinds: EntryKindSet, notice: Pick<Notice, 'kind' | 'facts'>, zone: Zone): string {
  const detail = detailOf(kinds, notice, zone);
  return detail === '' ? noticeHeadlines[notice.kind] : `${noticeHeadlines[notice.kind]}: ${detail}`;
}
