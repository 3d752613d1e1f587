import { failureModes, type FailureMode } from './codes';
import { isMode } from './find-faults';

/** One line of a catalogue of faults, as it is exported and read in. */
export interface CatalogueRow {
  /** Class of equipment, such as `gearbox`. */
  readonly equipmentClass: string;
  /** The part of the machine. */
  readonly component: string;
  /** A failure mode of ISO 14224. */
  readonly mode: FailureMode;
}

/** What can fail on each class of equipment: its parts, and how each fails; the usual ones first. */
export type FaultCatalogue = Readonly<Record<string, Readonly<Record<string, readonly FailureMode[]>>>>;

/** Lines that a catalogue may have. */
export const MOST_CATALOGUE_ROWS = 3_000;
const LONGEST_NAME = 80;

/** A catalogue as lines, in its order. */
export function rowsOfCatalogue(catalogue: FaultCatalogue): CatalogueRow[] {
  return Object.entries(catalogue).flatMap(([equipmentClass, parts]) =>
    Object.entries(parts).flatMap(([component, modes]) => modes.map((mode) => ({ equipmentClass, component, mode }))),
  );
}

/** Lines as a catalogue; what stands twice is there once. */
export function catalogueOf(rows: readonly CatalogueRow[]): FaultCatalogue {
  const classes = new Map<string, Map<string, Set<FailureMode>>>();
  for (const { equipmentClass, component, mode } of rows) {
    const parts = classes.get(equipmentClass) ?? new Map<string, Set<FailureMode>>();
    const modes = parts.get(component) ?? new Set<FailureMode>();
    classes.set(equipmentClass, parts.set(component, modes.add(mode)));
  }
  return Object.fromEntries(
    [...classes].map(([name, parts]) => [
      name,
      Object.fromEntries([...parts].map(([component, modes]) => [component, [...modes]])),
    ]),
  );
}

/** A line that cannot be read in, by its number in the file (the heading is 1), and why. */
export interface BadRow {
  readonly line: number;
  readonly because: 'noClass' | 'noComponent' | 'noMode' | 'unknownMode' | 'tooLong';
  readonly text: string;
}

/**
 * Reads lines of three cells: class of equipment, part, failure mode. Every line that cannot be read is named; a file with one of those
 * is not taken.
 *
 * @param cells without the heading
 */
export function readCatalogue(cells: readonly (readonly string[])[]): {
  readonly rows: CatalogueRow[];
  readonly bad: BadRow[];
} {
  const rows: CatalogueRow[] = [];
  const bad: BadRow[] = [];
  for (const [index, row] of cells.entries()) {
    const [equipmentClass = '', component = '', code = ''] = row.map((cell) => cell.trim());
    if (row.every((cell) => cell.trim() === '')) continue;
    const mode = code.toUpperCase();
    const because =
      equipmentClass === ''
        ? 'noClass'
        : component === ''
          ? 'noComponent'
          : Math.max(equipmentClass.length, component.length) > LONGEST_NAME
            ? 'tooLong'
            : code === ''
              ? 'noMode'
              : isMode(mode)
                ? null
                : 'unknownMode';
    if (because !== null) bad.push({ line: index + 2, because, text: row.join(', ').slice(0, LONGEST_NAME) });
    else rows.push({ equipmentClass, component, mode: mode as FailureMode });
  }
  return { rows, bad };
}

/** The codes that a line may have. */
export const catalogueModes = Object.keys(failureModes) as readonly FailureMode[];
