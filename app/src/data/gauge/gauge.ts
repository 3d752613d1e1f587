/** A gauge that measures by itself and tells what it measured, such as one on a short radio. */
export interface Gauge {
  readonly id: string;
  readonly name: string;
  /** The unit that it is set to. */
  readonly unit: string;
}

/** What comes from a gauge while it is listened to. */
export type FromGauge =
  | { readonly is: 'value'; readonly value: number; readonly unit: string; readonly isBatteryLow: boolean }
  /** What it measures lies outside of what it can. */
  | { readonly is: 'out of range' }
  /** It does not answer any more: too far away, or switched off. */
  | { readonly is: 'lost' };

/** The gauges within reach of this phone. */
export interface Gauges {
  /** Those that answer. */
  find(): Promise<readonly Gauge[]>;
  /** Listens to one until it is told to stop. */
  listen(gauge: Gauge, hear: (from: FromGauge) => void): () => void;
}
