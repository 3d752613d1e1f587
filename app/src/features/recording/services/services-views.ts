import { mdiAccountHardHatOutline } from '@mdi/js';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { ReceiptPicture } from '../expenses';
import { chargedTo } from '../expenses/words';
import type { DockItem } from '../../frame/views/dock-item';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';
import { joined } from '../../../words/joined';

const fromDock: DockItem = {
  name: 'service',
  word: 'Service',
  icon: mdiAccountHardHatOutline,
  key: 'o',
  place: 'costs',
  countsAsWorking: false,
  Sheet: lazyComponent(() => import('./service-sheet').then((module) => module.ServiceSheet)),
};

const entries: EntryViewsNamed<'service'> = {
  service: {
    ...inWords,
    group: 'costs',
    dock: fromDock,
    say: ({ content }, names, language) => ({
      headline: content.words,
      detail: joined([
        content.supplier === '' ? 'Outside service' : `Outside service of ${content.supplier}`,
        content.arrivedPercent === 100
          ? names.money(content.cost, language)
          : `${content.arrivedPercent} % of ${names.money(content.agreed, language)}: ${names.money(content.cost, language)}`,
      ]).concat(chargedTo(content.costCentre)),
    }),
    Picture: ReceiptPicture,
    amend: {
      label: 'Arrived so far, in percent',
      lines: 1,
      typed: ({ arrivedPercent }) => String(arrivedPercent),
      hint: 'Write a whole number from 1 to 100.',
      operation: 'service.amend',
      ask: (on, _content, typed) => {
        const arrivedPercent = Number(typed.replace('%', '').trim());
        if (!Number.isInteger(arrivedPercent)) return null;
        return { args: { ...on, arrivedPercent }, said: `Now ${arrivedPercent} % has arrived.` };
      },
    },
  },
};

const operations: OperationViewsNamed<'service.add' | 'service.amend'> = {
  'service.add': { say: ({ words }) => `Outside service: ${words}`, fields: { words: 'What was done' } },
  'service.amend': { say: ({ arrivedPercent }) => `${arrivedPercent} % of a service arrived`, fields: {} },
};

export const servicesViews = { entries, operations };
