import { DateTime } from 'luxon';
import type { Instant } from '@oilcan/core/kernel';

/** A calendar date in words; what is no date stands as it was written. */
export function sayDate(date: string, language: string): string {
  const day = DateTime.fromISO(date, { locale: language });
  return day.isValid ? day.toFormat('d LLL yyyy') : date;
}

/** Whether the last day under warranty has not passed. */
export function isUnderWarranty(until: string, now: Instant): boolean {
  return now.slice(0, 10) <= until;
}
