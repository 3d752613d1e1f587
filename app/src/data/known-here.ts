import type { Change } from '@oilcan/core/records';
import { isKnownAt } from '@oilcan/core/registry';
import { PROTOCOL } from '@oilcan/core/sync';

/** Of what a newer server adds, this phone knows nothing until it is brought up to date. */
export function knownHere(changes: readonly Change[]): Change[] {
  return changes.filter((change) => isKnownAt(change, PROTOCOL.newest));
}
