import { notAfter } from '@oilcan/core/operations';
import type { KeptOperation } from '../database/kept-operation';

/**
 * Those of the pending operations whose stamps change, now that the time is known: what was stamped by a clock that was
 * ahead happened by now, and so did everything made after an operation that the server sent back as early.
 *
 * @param pending in the order in which they were made
 * @param now by the server's clock, in milliseconds since 1970
 * @param early ids of operations that the server did not apply because of their stamps
 */
export function reStamped(pending: readonly KeptOperation[], now: number, early: ReadonlySet<string>): KeptOperation[] {
  const firstEarly = pending.findIndex(({ operation }) => early.has(operation.id));
  const present = presentFor(
    pending.filter(({ operation }) => early.has(operation.id)),
    now,
  );
  return pending.flatMap((each, index): KeptOperation[] => {
    const { operation } = each;
    const deviceTime = Date.parse(operation.at);
    const isAfterEarly = firstEarly >= 0 && index >= firstEarly;
    const ahead = isAfterEarly ? deviceTime - present : notAfter({ deviceTime, ahead: operation.ahead }, present).ahead;
    return ahead === operation.ahead ? [] : [{ ...each, operation: { ...operation, ahead } }];
  });
}

/**
 * The present by which they are stamped anew, at most a few milliseconds before it is: under the stamp that it had, the server would know
 * a copy that it sent back, and send it back for ever. What was made before such a copy was stamped earlier than it, so the order stays;
 * a later present would be cut to that of the server for some of them and not for others.
 */
function presentFor(early: readonly KeptOperation[], now: number): number {
  let present = now;
  while (early.some(({ operation: { at, ahead } }) => Date.parse(at) - present === ahead)) present -= 1;
  return present;
}
