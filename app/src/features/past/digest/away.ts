import { useEffect } from 'react';
import { addMinutes, type Instant } from '@oilcan/core/kernel';
import { now } from '../../../data/store/store';
import { keptChoice } from '../../../ui/state/kept-choice';

/** Who was not seen for so long was away: it is longer than any break, and shorter than between two shifts. */
const AWAY_MINUTES = 4 * 60;
const SEEN_EVERY_MILLISECONDS = 60_000;

interface Away {
  /** When the person last looked at Oilcan on this device; null before the first time. */
  readonly seenAt: Instant | null;
  /** Since when they have not read what changed; null where they have. */
  readonly since: Instant | null;
}

const momentOf = (value: unknown): Instant | null =>
  typeof value === 'string' && !Number.isNaN(Date.parse(value)) ? (value as Instant) : null;

export const useAway = keptChoice<Away>(
  'oilcan.away',
  { seenAt: null, since: null },
  {
    read: (kept) => {
      const { seenAt, since } = (typeof kept === 'object' && kept !== null ? kept : {}) as Record<string, unknown>;
      return { seenAt: momentOf(seenAt), since: momentOf(since) };
    },
    isPersonal: true,
  },
);

/** The person looks at Oilcan: whoever comes back after a long while has something to read. */
export function noteSeen(present: Instant): void {
  const { value, choose } = useAway.getState();
  const { seenAt, since } = value;
  const wasAway = seenAt !== null && addMinutes(seenAt, AWAY_MINUTES) < present;
  choose({ seenAt: present, since: since ?? (wasAway ? seenAt : null) });
}

export function noteDigestRead(): void {
  useAway.getState().choose({ seenAt: now(), since: null });
}

/** Notes that the person is there for as long as the page is in sight. */
export function useSeen(): void {
  useEffect(() => {
    const look = (): void => {
      if (document.visibilityState === 'visible') noteSeen(now());
    };
    look();
    const timer = setInterval(look, SEEN_EVERY_MILLISECONDS);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, []);
}
