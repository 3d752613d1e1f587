import { operationOf, type Entry } from '@oilcan/core/orders/work';
import { usePhone } from '../../../data/store/store';

/** `On this phone` while it has not been sent; nothing once it has, because that is what is expected. */
export function useWhere(entry: Entry): 'On this phone' | null {
  const isPending = usePhone((state) => state.pending.has(operationOf(entry.id)));
  return isPending ? 'On this phone' : null;
}
