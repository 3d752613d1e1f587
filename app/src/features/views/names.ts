import type { Person } from '@oilcan/core/people';
import type { Asset, MeasuringPoint } from '@oilcan/core/plant';
import type { Step } from '@oilcan/core/steps';
import type { Bin, Part } from '@oilcan/core/stock';
import { peekRow } from '../../data/store';

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
  /** The device of an isolation point; empty for the machine as a whole. */
  readonly isolationPoint: (workOrderId: string, id: string | null) => string;
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
  isolationPoint: (workOrderId, id) =>
    peekRow('workOrders', workOrderId)?.isolation.find((point) => point.id === id)?.device ?? '',
};
