import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const operations: OperationViewsNamed<'incident.make' | 'incident.add' | 'incident.say-aloud'> = {
  'incident.make': {
    say: ({ words }) => `Incident: ${words}`,
    fields: { words: 'What happened', doneAtOnce: 'What was done at once' },
  },
  'incident.add': { say: ({ words }) => `More about an incident: ${words}`, fields: { words: 'What there is to add' } },
  'incident.say-aloud': byItsLabel,
};

export const incidentsViews = { operations };
