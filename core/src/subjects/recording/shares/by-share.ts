import type { EntryId, PersonId, ShareId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { costOfEntries, type WorkCost } from '../costs/cost';
import type { Entry } from '../../orders/work/entries';
import type { EntryKindSet } from '../../orders/work/entry-kinds';
import type { Step } from '../../steps/steps/step';
import { holderAt, inOrderMade, sharesOfSteps, type Share } from './share';

/** What was recorded in each share, by its id, and what is in none. */
export interface CostByShare {
  readonly shares: ReadonlyMap<ShareId, WorkCost>;
  readonly rest: WorkCost;
}

/** Time, parts and other costs of a work order, by share. Every entry is in one share or in the rest: none is counted twice. */
export function costByShare(
  kinds: EntryKindSet,
  shares: readonly Share[],
  steps: readonly Step[],
  entries: readonly Entry[],
): CostByShare {
  const found = entriesByShare(shares, steps, entries);
  return {
    shares: new Map(shares.map(({ id }) => [id, costOfEntries(kinds, found.get(id) ?? [])])),
    rest: costOfEntries(kinds, found.get(null) ?? []),
  };
}

/**
 * The entries of each share, and under `null` those of none. What is recorded of a step is in the share of that step. Anything
 * else is in the share that the person whom it is about had at that time; of several the one of which they answered a step
 * last before, else the one that was made first. An amendment goes where what it amends is.
 */
export function entriesByShare(
  shares: readonly Share[],
  steps: readonly Step[],
  entries: readonly Entry[],
): ReadonlyMap<ShareId | null, readonly Entry[]> {
  const inShare = sharesOfSteps(shares, steps);
  const ordered = inOrderMade(shares);
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  const answered = answersIn(inShare, entries);
  const shareOf = (entry: Entry): ShareId | null => {
    const stepId = stepOf(entry);
    if (stepId !== null) return inShare.get(stepId)?.id ?? null;
    const person = personOf(entry);
    const held = ordered.filter((share) => holderAt(share, entry.at) === person);
    if (held.length < 2) return held[0]?.id ?? null;
    const last = answered.filter(
      ({ by, at, shareId }) => by === person && at <= entry.at && held.some(({ id }) => id === shareId),
    );
    return last.at(-1)?.shareId ?? held[0]?.id ?? null;
  };
  const found = new Map<ShareId | null, Entry[]>();
  for (const entry of entries) {
    const id = shareOf(firstOf(entry, byId));
    found.set(id, [...(found.get(id) ?? []), entry]);
  }
  return found;
}

/** The entry as it was first recorded. */
function firstOf(entry: Entry, byId: ReadonlyMap<EntryId, Entry>): Entry {
  let first = entry;
  for (let before = byId.get(first.id); before !== undefined;) {
    first = before;
    before = first.amends === null ? undefined : byId.get(first.amends);
  }
  return first;
}

function stepOf({ content }: Entry): Step['id'] | null {
  return 'stepId' in content ? (content.stepId ?? null) : null;
}

/** Whom an entry is about: of a time whose it is, else who recorded it. */
function personOf({ by, content }: Entry): PersonId {
  return content.kind === 'labor' ? content.personId : by;
}

interface AnswerInShare {
  readonly by: PersonId;
  readonly at: Instant;
  readonly shareId: ShareId;
}

/** Who answered a step of which share, the oldest first. */
function answersIn(inShare: ReadonlyMap<Step['id'], Share>, entries: readonly Entry[]): AnswerInShare[] {
  return entries
    .flatMap(({ content, by, at }) => {
      const share = content.kind === 'answer' ? inShare.get(content.stepId) : undefined;
      return share === undefined ? [] : [{ by, at, shareId: share.id }];
    })
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
}
