import type { ReadingLevel } from '../limits';

/** What a point must say beside its kind for a figure to be worked out there. Each kind adds its own (`declare module`). */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- it is filled by the kinds
export interface DerivedSettings {}

export type DerivedName = keyof DerivedSettings & string;

/** How the figure of a measuring point is worked out. */
export type Derivation = { [K in DerivedName]: { readonly kind: K } & DerivedSettings[K] }[DerivedName];

/** One value that is read off an instrument and goes into a figure. */
export interface RawValue {
  readonly key: string;
  readonly value: number;
}

/** What is worked out. */
export interface Figure {
  readonly value: number;
  /** What it is called by its standard, such as zone `B` or `18/16/13`; null where the value says all. */
  readonly said: string | null;
  /** What the standard says of it; `normal` where it leaves that to the limits of the point. */
  readonly level: ReadingLevel;
  /** By its standard it means nothing here, whatever it is; absent where it does. */
  readonly tellsNothing?: true;
}

/** Everything that there is to say of a kind of figure; nothing of it may be left out. */
export interface DerivedKind<K extends DerivedName> {
  /** What is read off, in this order, each with its unit. */
  readonly raw: readonly { readonly key: string; readonly unit: string }[];
  /** The unit of the figure. */
  readonly unit: string;
  readonly decimals: number;
  /** Where it stands, as it is shown beside the figure. */
  readonly source: string;
  /** The figure; null for values that cannot have been read together. */
  readonly work: (raw: readonly number[], settings: DerivedSettings[K]) => Figure | null;
}
