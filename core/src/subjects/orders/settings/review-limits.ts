/** From when on finished work is called unusual, each rule by its limit; a lead may set them. */
export interface ReviewLimits {
  /** Worked for so many times the estimate, and by so many minutes more. */
  readonly estimateTimes: number;
  readonly minutesOver: number;
  /** Parts that are neither in the kit nor usual for such jobs, from so many on. */
  readonly unplannedParts: number;
  /** Time that was written down so many hours after it ended. */
  readonly lateHours: number;
  /** A failure that came back within this part of its usual gap. */
  readonly repeatShare: number;
  /** A cost so many deviations above the median of such jobs. */
  readonly costDeviations: number;
}

/** Common practice where there is one (twice the estimate, three deviations); else tried on the past of the demo. */
export const usualLimits: ReviewLimits = {
  estimateTimes: 2,
  minutesOver: 30,
  unplannedParts: 1,
  lateHours: 24,
  repeatShare: 0.25,
  costDeviations: 3,
};
