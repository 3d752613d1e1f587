import { instantFromMillis, parseInstant, toMillis, type Instant } from '../kernel/time/instant';

/** When something is done: the device's own time, and how far that is ahead of the corrected one. */
export interface Stamp {
  readonly deviceTime: number;
  readonly ahead: number;
}

/**
 * The stamp of an operation that a device made while its clock was too far ahead: it happened by now. Several come to
 * the same moment, and their ids, which rise as well, keep their order.
 *
 * @param now corrected milliseconds since 1970
 */
export function notAfter({ deviceTime, ahead }: Stamp, now: number): Stamp {
  return { deviceTime, ahead: Math.max(ahead, deviceTime - now) };
}

/** More than a device can be off that measured its clock over the slowest line. */
const TOLERANCE_MILLISECONDS = 30_000;

/** Whether a stamp lies so far in the future that its device cannot have measured its clock since that was set. */
export function isFromTheFuture(deviceTime: string, ahead: number, now: Instant): boolean {
  return toMillis(parseInstant(deviceTime)) - ahead > toMillis(now) + TOLERANCE_MILLISECONDS;
}

/**
 * When something was done by the server's clock: the device's time less what the device was ahead, and never after
 * the present, because what has arrived has happened.
 */
export function correctedTime(deviceTime: string, ahead: number, now: Instant): Instant {
  const corrected = instantFromMillis(toMillis(parseInstant(deviceTime)) - ahead);
  return corrected > now ? now : corrected;
}
