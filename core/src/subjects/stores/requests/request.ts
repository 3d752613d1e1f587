import type {
  AssetId,
  BinId,
  EntryId,
  PartId,
  PersonId,
  RequestId,
  SiteId,
  StoreId,
  WorkOrderId,
} from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Instant } from '../../../kernel/time/instant';
import type { MadeKnown } from '../../../operations/known';
import type { SizedPicture } from '../../plant/files/files';

/** How what is handed out gets to whoever asked: over the counter, into a pick-up place, or along with somebody who drives. */
export const handoutWays = ['person', 'pickUp', 'along'] as const;
export type HandoutWay = (typeof handoutWays)[number];

/** So much that left a bin for a request. Its stock moved when it left the bin, whoever carries it then. */
export interface Handout {
  /** Of the operation that handed it out. */
  readonly id: string;
  /** The part that was given, which may be another than the one that was asked for. */
  readonly partId: PartId;
  readonly binId: BinId;
  /** In the unit of the part that was given. */
  readonly quantity: Thousandths;
  /** How much of what was asked for it settles, in the unit of the request. */
  readonly settles: Thousandths;
  readonly way: HandoutWay;
  /** Where it lies or who brings it, in words; empty over the counter. */
  readonly where: string;
  readonly by: PersonId;
  readonly at: Instant;
  /** When whoever asked had it in hand; null while it lies or drives. */
  readonly receivedAt: Instant | null;
  /** What went back of it into a bin. */
  readonly returned: Thousandths;
  /** The use on the job; null where it was handed out for no job. */
  readonly entryId: EntryId | null;
}

/** A part that somebody asks a store for. One request is for one part; its id is that of the operation that made it. */
export interface StoreRequest {
  readonly id: RequestId;
  readonly siteId: SiteId;
  readonly storeId: StoreId;
  /** The job that needs it; null for none. */
  readonly workOrderId: WorkOrderId | null;
  /** For which machine of that job; null where nobody said, or for no job. */
  readonly assetId: AssetId | null;
  /** Null where nobody knew which: then `words` say what it is. */
  readonly partId: PartId | null;
  /** What is needed, or more about it; empty where the part says it all. */
  readonly words: string;
  /** What it looks like, where nobody knows what it is called. */
  readonly photo: SizedPicture | null;
  readonly quantity: Thousandths;
  /** The part's own; `pcs` for words. */
  readonly unit: string;
  readonly neededBy: Instant | null;
  /** Where it is to be brought, in words; empty where it is fetched. */
  readonly bringTo: string;
  readonly askedBy: PersonId;
  readonly askedAt: Instant;
  /** Oldest first. */
  readonly handouts: readonly Handout[];
  /** What the job took itself from a bin or over the counter since it asked, by the entry that says so. */
  readonly tookItself: Readonly<Record<EntryId, Thousandths>>;
  /** Why nothing more is handed out for it; null while something may be. */
  readonly closed:
    | (MadeKnown & {
        readonly is: 'declined' | 'withdrawn';
        readonly by: PersonId;
        readonly at: Instant;
        readonly reason: string;
      })
    | null;
  /** When it came to be known that nothing is left to do; null while something is. */
  readonly endedAt: Instant | null;
}

/**
 * How a request stands: nothing was given yet, a part of it was, all of it lies ready or is on its way, all of it was given, the store
 * said no, or it was taken back.
 */
export const requestStates = ['asked', 'partly', 'ready', 'handedOut', 'declined', 'withdrawn'] as const;
export type RequestState = (typeof requestStates)[number];

/** What was given for it or was taken by the job itself; what came back is not counted out again. */
export function settledOf({ handouts, tookItself }: Pick<StoreRequest, 'handouts' | 'tookItself'>): Thousandths {
  const given = handouts.reduce((sum, { settles }) => sum + settles, 0);
  return Object.values(tookItself).reduce((sum, quantity) => sum + quantity, given);
}

/** What the store may still hand out for it, never below zero. */
export function openAmount(
  request: Pick<StoreRequest, 'quantity' | 'handouts' | 'tookItself' | 'closed'>,
): Thousandths {
  return request.closed === null ? Math.max(0, request.quantity - settledOf(request)) : 0;
}

export function requestState(request: StoreRequest): RequestState {
  if (openAmount(request) > 0) return settledOf(request) > 0 ? 'partly' : 'asked';
  if (request.handouts.some(({ receivedAt }) => receivedAt === null)) return 'ready';
  // What was given before the rest was refused was given all the same.
  if (request.closed !== null && settledOf(request) === 0) return request.closed.is;
  return 'handedOut';
}

/** Whether nothing is left to do for anybody. */
function isOver(request: StoreRequest): boolean {
  const state = requestState(request);
  return state !== 'asked' && state !== 'partly' && state !== 'ready';
}

/** The request with its end: when it came to be known that nothing is left to do. */
export function withEnd(request: StoreRequest, now: Instant): StoreRequest {
  return { ...request, endedAt: isOver(request) ? (request.endedAt ?? now) : null };
}
