import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';
import { counted } from '../../../words/work-words';

const entries: EntryViewsNamed<'share'> = {
  share: {
    ...inWords,
    group: 'steps',
    dock: null,
    say: ({ content: { act, personId, steps } }, names) => {
      const name = names.person(personId)?.name ?? 'a mate';
      const many = counted(steps, 'step', 'steps');
      switch (act) {
        case 'made':
          return { headline: `Share of ${name}`, detail: many };
        case 'passedOn':
          return { headline: `Share passed on to ${name}`, detail: many };
        case 'changed':
          return { headline: `Share of ${name} changed`, detail: `${many} now` };
        case 'dissolved':
          return { headline: `Share of ${name} dissolved`, detail: 'Its steps are nobody’s own any more.' };
      }
    },
  },
};

const operations: OperationViewsNamed<'share.make' | 'share.change' | 'share.pass-on' | 'share.dissolve'> = {
  'share.make': {
    say: ({ personId, stepIds }, { person }) =>
      `A share of ${counted(stepIds.length, 'step', 'steps')} for ${person(personId)?.name ?? 'a mate'}`,
    fields: {},
  },
  'share.change': { say: ({ stepIds }) => `A share, now of ${counted(stepIds.length, 'step', 'steps')}`, fields: {} },
  'share.pass-on': {
    say: ({ personId }, { person }) => `A share passed on to ${person(personId)?.name ?? 'a mate'}`,
    fields: {},
  },
  'share.dissolve': { say: () => 'A share dissolved', fields: {} },
};

export const sharesViews = { entries, operations };
