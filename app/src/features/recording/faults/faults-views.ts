import { mdiAlertRhombusOutline } from '@mdi/js';
import { causes, nameOfActivity, nameOfCode } from '@oilcan/core/recording/faults';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import type { DockItem } from '../../frame/views/dock-item';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';
import { faultLine, faultWords, plainFault } from './words';
import { joined } from '../../../words/joined';

const fromDock: DockItem = {
  name: 'fault',
  word: 'Fault',
  icon: mdiAlertRhombusOutline,
  key: 'f',
  place: 'dock',
  countsAsWorking: false,
  Sheet: lazyComponent(() => import('./fault-sheet').then((module) => module.FaultSheet)),
};

const entries: EntryViewsNamed<'fault'> = {
  fault: {
    ...inWords,
    AmendSheet: lazyComponent(() => import('./amend-fault').then((module) => module.AmendFault)),
    group: 'faults',
    dock: fromDock,
    say: ({ content }) => ({
      headline: plainFault(content),
      detail: joined([
        content.mode,
        nameOfActivity(content.activity),
        content.cause === '' ? 'cause not said' : nameOfCode(causes, content.cause).toLowerCase(),
        content.text,
      ]),
    }),
    past: { many: 'Faults', line: faultLine },
  },
};

const operations: OperationViewsNamed<'fault.add' | 'fault.amend' | 'faults.set-catalogue'> = {
  'fault.add': { say: faultWords, fields: { component: 'Which part of the machine', text: 'More about it' } },
  'fault.amend': { say: faultWords, fields: { component: 'Which part of the machine', text: 'More about it' } },
  'faults.set-catalogue': { say: ({ rows }) => `A catalogue of faults with ${rows.length} lines`, fields: {} },
};

export const faultsViews = { entries, operations };
