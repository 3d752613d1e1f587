import { levelOf, type ReadingLevel } from '../limits';
import type { Limits } from '../../../plant/plant/plant';
import { aboveAmbient } from './above-ambient/above-ambient';
import { roundedTo } from './rounded';
import type { Derivation, DerivedKind, DerivedName, DerivedSettings, Figure, RawValue } from './derived-kind';
import { filterDrop } from './filter-drop/filter-drop';
import { insulation } from './insulation/insulation';
import { oilCleanliness } from './oil-cleanliness/oil-cleanliness';
import { polarizationIndex } from './polarization-index/polarization-index';
import { unbalance } from './unbalance/unbalance';
import { vibrationZone } from './vibration-zone/vibration-zone';

/** Every kind of figure that is worked out of several values. */
const derivedKinds: { readonly [K in DerivedName]: DerivedKind<K> } = {
  vibrationZone,
  oilCleanliness,
  unbalance,
  insulation,
  polarizationIndex,
  aboveAmbient,
  filterDrop,
};

/** A kind as code sees it that works on any: the link to its settings is lost here, and only here. */
interface AnyDerived extends Omit<DerivedKind<DerivedName>, 'work'> {
  readonly work: (raw: readonly number[], settings: DerivedSettings[DerivedName]) => Figure | null;
}

/** A kind by its name; undefined for one that only a later Oilcan knows. */
export function derivedKindNamed(name: string): AnyDerived | undefined {
  return Object.hasOwn(derivedKinds, name) ? (derivedKinds[name as DerivedName] as unknown as AnyDerived) : undefined;
}

/** The figure of a point out of what was read off; null where a value is missing, is no number, or they do not go together. */
export function figureOf(derivation: Derivation, raw: readonly RawValue[]): Figure | null {
  const kind = derivedKindNamed(derivation.kind);
  if (kind === undefined || raw.length !== kind.raw.length) return null;
  const values = kind.raw.map(({ key }) => raw.find((each) => each.key === key)?.value);
  if (!values.every((value): value is number => value !== undefined && Number.isFinite(value))) return null;
  const figure = kind.work(values, derivation);
  if (figure === null || !Number.isFinite(figure.value)) return null;
  // What is shown is what is judged: no more places, and no rest of a fraction that the machine cannot hold.
  return { ...figure, value: roundedTo(figure.value, kind.decimals) };
}

const worse: readonly ReadingLevel[] = ['normal', 'alert', 'alarm'];

/** What a figure means at a point: the worse of what its standard and the limits of the point say. */
export function levelOfFigure({ value, level, tellsNothing }: Figure, limits: Limits): ReadingLevel {
  if (tellsNothing === true) return level;
  const byLimits = levelOf(value, limits);
  return worse.indexOf(byLimits) > worse.indexOf(level) ? byLimits : level;
}
