import type { PublicEvent } from '@oilcan/core/raising/guests';
import type { ReportEvent, ReportState } from '@oilcan/core/raising/reports';

/** Why a label leads nowhere. */
export const deadLabelWords = {
  unknown: 'This label is not known here. Look whether its address was typed right, or tell somebody who works here.',
  withdrawn: 'This label is not in use any more. Tell somebody who works here.',
  closed: 'Reports are not taken by label here. Tell somebody who works here.',
  retired: 'This machine is not in use any more. If it is a danger, tell somebody who works here.',
} as const;

export const noSuchReport = 'This link leads to no report. Open it again from where you kept it.';

const stateWords: Readonly<Record<ReportState, string>> = {
  waiting: 'Received. Somebody will look at it.',
  asked: 'There is a question for you.',
  taken: 'It is being worked on.',
  solved: 'Solved.',
  declined: 'Nothing is done about it.',
};

/** How a report stands, in one sentence. */
export const stateSentence = (state: ReportState): string => stateWords[state];

const eventSentences: Readonly<Record<PublicEvent['is'], string>> = {
  said: 'You added',
  asked: 'Somebody asks you',
  look: 'Somebody goes and looks',
  confirmed: 'Somebody has seen it: it is so',
  taken: 'It is being worked on',
  joined: 'It was known already, and is being worked on',
  declined: 'Nothing is done about it',
  solved: 'Solved',
  reopened: 'It is being worked on again',
  dropped: 'The work was called off; somebody looks at it again',
};

/** One thing that became of a report. */
export const eventSentence = (is: PublicEvent['is']): string => eventSentences[is];

/** The same for what stands in the report itself. */
export function eventWords(event: ReportEvent): string {
  if (event.is === 'machine') return 'The machine was found';
  return eventSentences[event.is === 'taken' && event.isJoined ? 'joined' : event.is];
}
