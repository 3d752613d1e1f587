import { peekRow } from '../../data/store';
import type { EntryNames } from './entry-words';

/** What entries and operations name, as this phone has it. */
export const entryNames: EntryNames = {
  person: (id) => peekRow('people', id),
  part: (id) => peekRow('parts', id),
  bin: (id) => peekRow('bins', id),
  point: (id) => peekRow('points', id),
  step: (id) => peekRow('steps', id),
  isolationPoint: (workOrderId, id) =>
    peekRow('workOrders', workOrderId)?.isolation.find((point) => point.id === id)?.device ?? '',
};
