import type { AssetId } from '@oilcan/core/kernel';
import type { PastOf } from '@oilcan/core/past/past';

/** Where a past is looked at. That of a machine's place is looked at from the machine too. */
export function pastAddress({ scope, id }: PastOf, from: AssetId | null = null): `/plant/past/${string}` {
  return scope === 'place' && from === null ? `/plant/past/at/${id}` : `/plant/past/${from ?? id}?with=${scope}`;
}

/** Where the rows of one sentence or figure of it are. */
export function openedAddress(address: `/plant/past/${string}`, key: string): `/plant/past/${string}` {
  return `${address}${address.includes('?') ? '&' : '?'}said=${key}`;
}
