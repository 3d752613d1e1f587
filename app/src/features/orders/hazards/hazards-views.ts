import { counted } from '../../../words/work-words';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';

const entries: EntryViewsNamed<'hazard' | 'acknowledgement'> = {
  hazard: {
    ...inWords,
    group: 'safety',
    dock: null,
    say: ({ content }) => ({ headline: content.hazard, detail: `Hazard added. ${content.control}` }),
  },
  acknowledgement: {
    ...inWords,
    group: 'safety',
    dock: null,
    say: ({ content }) => ({
      headline: 'Hazards read',
      detail: counted(content.hazardIds.length, 'hazard', 'hazards'),
    }),
  },
};

const operations: OperationViewsNamed<'work.acknowledge-hazards' | 'work.add-hazard'> = {
  'work.acknowledge-hazards': { ...byItsLabel, say: () => 'Hazards read' },
  'work.add-hazard': {
    say: ({ hazard }) => `Hazard: ${hazard}`,
    fields: { hazard: 'Hazard', control: 'Control' },
  },
};

export const hazardsViews = { entries, operations };
