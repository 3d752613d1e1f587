import { OilcanError } from '@oilcan/core/kernel';
import { statusFor } from '@oilcan/core/registry';
import { StorageFailed } from '../database/local-database';
import { Unreachable } from '../server/server-link';

/**
 * How the last talk with the server went. `server-trouble`: it answered that it cannot just now. `older` and `newer`:
 * this Oilcan is so, and neither understands the other. `phone-full` and `phone-failed`: what came could not be kept, for
 * want of space or because the browser's storage failed.
 */
export type Contact =
  | 'unknown'
  | 'reached'
  | 'no-signal'
  | 'server-trouble'
  | 'signed-out'
  | 'older'
  | 'newer'
  | 'phone-full'
  | 'phone-failed';

/** Whether it is one of the ways in which synchronizing fails. */
export function isForeseen(error: unknown): boolean {
  return error instanceof Unreachable || error instanceof StorageFailed || error instanceof OilcanError;
}

/** What a failure of synchronizing says of the contact. */
export function contactAfter(error: unknown): Contact {
  if (error instanceof Unreachable) return 'no-signal';
  if (error instanceof StorageFailed) return error.isFull ? 'phone-full' : 'phone-failed';
  if (!(error instanceof OilcanError)) return 'server-trouble';
  if (statusFor(error.code) === 401) return 'signed-out';
  if (error.code === 'protocol_older') return 'older';
  if (error.code === 'protocol_newer') return 'newer';
  return 'server-trouble';
}

/** Whether trying the same again later may well succeed. */
export function isPassing(error: OilcanError): boolean {
  return [401, 426, 429, 503].includes(statusFor(error.code));
}

/** Whether the fault lies in what was sent, so that sending it again is of no use. */
export function isAboutTheRequest(error: OilcanError): boolean {
  return statusFor(error.code) < 500;
}
