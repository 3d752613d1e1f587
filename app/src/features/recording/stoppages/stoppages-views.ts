import { mdiPauseOctagonOutline } from '@mdi/js';
import { minutesBetween } from '@oilcan/core/kernel';
import type { PastStoppage } from '@oilcan/core/recording/stoppages';
import { peekRow } from '../../../data/store/store';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { sayStanding } from '../../../words/spans';
import type { DockItem } from '../../frame/views/dock-item';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';

/** `Stood still for 6 h`. */
export function stoppageLine({ from, to, extent, isPlanned }: PastStoppage): string {
  const isFull = extent === 'full';
  const planned = isPlanned ? ', planned' : '';
  if (to === null) return `${isFull ? 'Stands still' : 'Runs, not fully'}${planned}`;
  const how = `${isFull ? 'Stood still' : 'Ran, not fully'}${planned}`;
  return `${how} for ${sayStanding(Math.max(0, minutesBetween(from, to)))}`;
}

const fromDock: DockItem = {
  name: 'stoppage',
  word: 'Stoppage',
  icon: mdiPauseOctagonOutline,
  key: 'd',
  place: 'dock',
  countsAsWorking: false,
  Sheet: lazyComponent(() => import('./stoppage-sheet').then((module) => module.StoppageSheet)),
};

const entries: EntryViewsNamed<'stoppage'> = {
  stoppage: {
    ...inWords,
    AmendSheet: lazyComponent(() => import('./amend-stoppage').then((module) => module.AmendStoppage)),
    group: 'stoppages',
    dock: fromDock,
    say: ({ assetId, workOrderId, content }, names) => {
      const { kind: _, ...stoppage } = content;
      const machine = names.asset(assetId);
      const isOther = peekRow('workOrders', workOrderId)?.assetId !== assetId;
      const lost = content.lostPercent === undefined ? '' : `${content.lostPercent} % less`;
      return {
        headline:
          isOther && machine !== undefined ? `${machine.name}: ${stoppageLine(stoppage)}` : stoppageLine(stoppage),
        detail: lost,
      };
    },
    past: { many: 'Stoppages', line: stoppageLine },
  },
};

const operations: OperationViewsNamed<'stoppage.add' | 'stoppage.end' | 'stoppage.amend' | 'asset.run-again'> = {
  'stoppage.add': { say: ({ extent }) => (extent === 'full' ? 'A standstill' : 'A time at reduced speed'), fields: {} },
  'stoppage.end': { say: () => 'The end of a stoppage', fields: {} },
  'stoppage.amend': { say: () => 'Other times of a stoppage', fields: {} },
  'asset.run-again': {
    say: ({ assetId }, { asset }) => `${asset(assetId)?.name ?? 'A machine'} runs again`,
    fields: {},
  },
};

export const stoppagesViews = { entries, operations };
