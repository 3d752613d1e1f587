import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';

const acts = { putOff: 'Put off to the end', leftOut: 'Left out', takenUp: 'Taken up again' } as const;

const entries: EntryViewsNamed<'stop'> = {
  stop: {
    ...inWords,
    group: 'steps',
    dock: null,
    say: ({ content: { stopId, act, reason } }, names) => ({
      headline: `${acts[act]}: ${names.stop(stopId)?.name ?? 'a stop'}`,
      detail: reason,
    }),
  },
};

const operations: OperationViewsNamed<'stop.put-off' | 'stop.leave-out' | 'stop.take-up' | 'round.turn'> = {
  'stop.put-off': { say: ({ stopId }, { stop }) => `${stop(stopId)?.name ?? 'A stop'}: put off`, fields: {} },
  'stop.leave-out': {
    say: ({ stopId }, { stop }) => `${stop(stopId)?.name ?? 'A stop'}: left out`,
    fields: { reason: 'Why it is left out' },
  },
  'stop.take-up': { say: ({ stopId }, { stop }) => `${stop(stopId)?.name ?? 'A stop'}: taken up`, fields: {} },
  'round.turn': { say: () => 'The round turned around', fields: {} },
};

export const roundsViews = { entries, operations };
