import { LONGEST_LINE, textField } from '../schema/fields';

/** The longest signature, in characters of its path. */
const LONGEST_SIGNATURE = 20_000;
/** Moves and straight lines in whole numbers, as SVG writes a path (SVG 2, 9.3). */
const PATH_FORM = /^(?:[ML]-?\d{1,5} -?\d{1,5})+$/;

/** What somebody signed with: their name, and what was drawn as the data of an SVG path of straight lines. */
export interface Signature {
  readonly name: string;
  readonly path: string;
}

/** The fields of a signature as it is sent. */
export const signatureFields = { name: textField(LONGEST_LINE), path: textField(LONGEST_SIGNATURE) };

/** Why a path is no signature; null where it is one. */
export function whyNoSignature(path: string): 'signature_no_drawing' | 'signature_empty' | null {
  if (!PATH_FORM.test(path)) return 'signature_no_drawing';
  return path.includes('L') ? null : 'signature_empty';
}
