import type { Derivation } from './derived-kind';

declare module '../../../plant/plant/plant' {
  interface MeasuringPoint {
    /** How its value is worked out of several that are read off; absent where it is read off itself. */
    readonly derived?: Derivation;
  }
}
