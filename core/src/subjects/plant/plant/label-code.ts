import type { PlaceId } from '../../../kernel/ids';

/** The path of the address that our own labels carry, so that any phone's camera leads to the application. */
const LABEL_PATH = '/code/';
const LONGEST_CODE = 128;
/** What Code 128 can hold, and the labels of makers do: everything of ASCII that is printed. */
const PRINTED = /^[\x21-\x7e][\x20-\x7e]*$/;

/** What our label for a code holds: an address of this server. */
export function labelText(origin: string, code: string): string {
  return `${origin}${LABEL_PATH}${encodeURIComponent(code)}`;
}

/** The path of the address of a label by which everybody may report. */
const REPORT_PATH = '/r/';

/** What such a label holds: an address of this server that ends in its key. */
export function reportLabelText(origin: string, key: string): string {
  return `${origin}${REPORT_PATH}${key}`;
}

/** The code that the staff read from such a label. */
export function reportLabelCode(key: string): string {
  return `REPORT:${key}`.toUpperCase();
}

/** The key in such a code; null for any other code. */
export function keyInCode(code: string): string | null {
  return /^REPORT:(.+)$/.exec(code)?.[1] ?? null;
}

/** The label of a bin has its own kind of code, so that it is never taken for a machine's tag. */
export function binCode(storeName: string, binLabel: string): string {
  return `BIN:${storeName}:${binLabel}`.toUpperCase();
}

/** The label of a place, such as the door of a room; by its id, because rooms of one name are in many a station. */
export function placeCode(id: PlaceId): string {
  return `PLACE:${id}`.toUpperCase();
}

/**
 * The code in what a scanner read or somebody typed: of one of our labels its code, whatever server it was printed by;
 * otherwise the text itself, without case and outer blanks. Null for what can be no code: empty, too long, or with
 * characters that are not printed.
 */
export function readCode(text: string): string | null {
  const code = (fromLabel(text.trim()) ?? text).trim().toUpperCase().replace(/\s+/g, ' ');
  return code.length <= LONGEST_CODE && PRINTED.test(code) ? code : null;
}

/** The code of a machine's own label: its tag. */
export function codeOfTag(tag: string): string {
  return readCode(tag) ?? tag.toUpperCase();
}

const OTHER_KINDS = /^(BIN|PLACE|REPORT):/;

/** Whether a code is of a kind that never belongs to a machine: our own labels of bins and places. */
export function isCodeOfOtherKind(code: string): boolean {
  return OTHER_KINDS.test(code);
}

function fromLabel(text: string): string | null {
  const key = /^https?:\/\/[^/\s]+\/r\/([^/?#\s]+)$/i.exec(text)?.[1];
  if (key !== undefined) return reportLabelCode(key);
  const match = /^https?:\/\/[^/\s]+\/code\/([^/?#\s]+)$/i.exec(text);
  if (match?.[1] === undefined) return null;
  try {
    return decodeURIComponent(match[1]);
  } catch {
    return null;
  }
}
