import type { PartId } from '@oilcan/core/kernel';
import type { Movement } from '@oilcan/core/stores/stock';
import { within } from '../../../data/server/within';

const MILLISECONDS = 10_000;

/** What moved of a part, the newest first, and whether there is more. */
export interface MovementsAnswer {
  readonly movements: readonly Movement[];
  readonly hasMore: boolean;
}

/** Asks the server for what no phone carries; null where it cannot be had now. */
export async function readMovements(partId: PartId): Promise<MovementsAnswer | null> {
  try {
    const given: unknown = await within(MILLISECONDS, async (signal) => {
      const response = await fetch(`/api/parts/${encodeURIComponent(partId)}/movements`, {
        credentials: 'same-origin',
        referrerPolicy: 'no-referrer',
        signal,
      });
      return response.ok ? (JSON.parse(await response.text()) as unknown) : null;
    });
    return isAnswer(given) ? given : null;
  } catch {
    return null;
  }
}

/** What stands between a phone and its server may answer in its place: that is no answer. */
function isAnswer(given: unknown): given is MovementsAnswer {
  if (typeof given !== 'object' || given === null || !('movements' in given) || !('hasMore' in given)) return false;
  return Array.isArray(given.movements) && typeof given.hasMore === 'boolean' && given.movements.every(isMovement);
}

function isMovement(given: unknown): given is Movement {
  if (typeof given !== 'object' || given === null) return false;
  const { change, at, reason, binId } = given as Record<string, unknown>;
  return (
    typeof change === 'number' && typeof at === 'string' && typeof reason === 'string' && typeof binId === 'string'
  );
}
