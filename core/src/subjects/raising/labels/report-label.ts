import type { AssetId, PersonId, PlaceId, SiteId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';

/**
 * What leads somebody without an account from a label to the page of one machine or place. Its key is long and drawn by lot, so that
 * who has not stood before the machine does not find its page.
 */
export interface ReportLabel {
  /** Its key: 20 letters and digits of Crockford's base 32, 100 bits. */
  readonly id: string;
  readonly siteId: SiteId;
  /** The machine; null for the label of a place. */
  readonly assetId: AssetId | null;
  readonly placeId: PlaceId;
  readonly by: PersonId;
  readonly at: Instant;
  /** Since when it leads nowhere; null while it does. */
  readonly withdrawn: { readonly by: PersonId; readonly at: Instant } | null;
}

/** Without I, L, O and U, so that nobody mistakes a letter that they type. */
const ALPHABET = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
export const LABEL_KEY_LENGTH = 20;
const LABEL_KEY = new RegExp(`^[${ALPHABET}]{${LABEL_KEY_LENGTH}}$`);

export function isLabelKey(text: string): boolean {
  return LABEL_KEY.test(text);
}

/** A key from as many random bytes as it has letters. */
export function labelKeyFrom(bytes: Uint8Array): string {
  return Array.from(bytes.subarray(0, LABEL_KEY_LENGTH), (byte) => ALPHABET[byte % ALPHABET.length]).join('');
}
