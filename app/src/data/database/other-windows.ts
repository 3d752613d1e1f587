import type { WriteVersion, Write } from './local-database';

/** What one window wrote, for the others. */
export interface Told {
  readonly before: WriteVersion;
  readonly writeVersion: WriteVersion;
  readonly write: Write;
}

/** The other windows of this browser that are open on the same phone. */
export interface OtherWindows {
  tell(told: Told): void;
  onTold(listener: (told: Told) => void): void;
  /** Runs while no other window does the same. */
  alone(task: () => Promise<void>): Promise<void>;
}

/** For where there is but one window. */
export const noOtherWindows: OtherWindows = {
  tell: () => undefined,
  onTold: () => undefined,
  alone: (task) => task(),
};
