import type { Person } from '@oilcan/core/plant/people';
import type { Asset, MeasuringPoint } from '@oilcan/core/plant/plant';
import type { Step } from '@oilcan/core/steps/steps';
import type { Bin, Part } from '@oilcan/core/stores/stock';
import { formatMoney, type Instant, type Money } from '@oilcan/core/kernel';
import { peekSettings } from '../../../data/store/peek-settings';
import { now, peekRow } from '../../../data/store/store';
import { sayStretch } from '../../../words/dates';

/** Looks up what entries and operations name; undefined for what this phone does not have. */
export interface Names {
  readonly person: (id: string) => Person | undefined;
  readonly part: (id: string) => Part | undefined;
  readonly bin: (id: string) => Bin | undefined;
  readonly point: (id: string) => MeasuringPoint | undefined;
  readonly step: (id: string) => Step | undefined;
  readonly asset: (id: string) => Asset | undefined;
  /** The machine at a stop of a round. */
  readonly stop: (id: string) => Asset | undefined;
  /** From when to when, by the clock of a site, with the day where it is not that of another moment: `Tue 24 Nov, 14:20 to 15:50`. */
  readonly stretch: (siteId: string, at: Instant, from: Instant, to: Instant) => string;
  /** The device of an isolation point; empty for the machine as a whole. */
  readonly isolationPoint: (workOrderId: string, id: string | null) => string;
  /** An amount of money; empty where none may stand. Whatever is said of an entry says amounts by this alone. */
  readonly money: (amount: Money, language: string) => string;
}

/** What entries and operations name, as this phone has it. */
export const phoneNames: Names = {
  person: (id) => peekRow('people', id),
  part: (id) => peekRow('parts', id),
  bin: (id) => peekRow('bins', id),
  point: (id) => peekRow('points', id),
  step: (id) => peekRow('steps', id),
  asset: (id) => peekRow('assets', id),
  stop: (id) => peekRow('assets', peekRow('stops', id)?.assetId ?? ''),
  stretch: (siteId, at, from, to) => {
    const settings = peekSettings(siteId);
    return settings === undefined ? '' : sayStretch(from, to, at, now(), settings);
  },
  isolationPoint: (workOrderId, id) =>
    peekRow('workOrders', workOrderId)?.isolation.find((point) => point.id === id)?.device ?? '',
  money: formatMoney,
};

/** The same for what goes where nobody is to see what things cost. */
export const namesWithoutMoney: Names = { ...phoneNames, money: () => '' };
