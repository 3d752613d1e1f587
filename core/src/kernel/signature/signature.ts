import { LONGEST_LINE, optionalTextField, textField } from '../schema/fields';

/** The longest signature, in characters of its path. */
const LONGEST_SIGNATURE = 20_000;
/** Moves and straight lines in whole numbers, as SVG writes a path (SVG 2, 9.3). */
const PATH_FORM = /^(?:[ML]-?\d{1,5} -?\d{1,5})+$/;

/**
 * What somebody signed with: their name, and what was drawn as the data of an SVG path of straight lines. Whoever cannot draw signs
 * by typing the name and saying that it stands for them: then the path is empty.
 */
export interface Signature {
  readonly name: string;
  readonly path: string;
}

/** Who signed, and whether without a drawing: `Ann`, or `Ann (name typed)`. */
export function signedBy({ name, path }: Signature): string {
  return path === '' ? `${name} (name typed)` : name;
}

/** The fields of a signature as it is sent. */
export const signatureFields = { name: textField(LONGEST_LINE), path: optionalTextField(LONGEST_SIGNATURE) };

/** Why a path is no signature; null where it is one, or the name stands for it. */
export function whyNoSignature(path: string): 'signature_no_drawing' | 'signature_empty' | null {
  if (path === '') return null;
  if (!PATH_FORM.test(path)) return 'signature_no_drawing';
  return path.includes('L') ? null : 'signature_empty';
}
