import type { FileId, PersonId } from '../../../kernel/ids';
import type { Money } from '../../../kernel/money/money';
import type { Instant } from '../../../kernel/time/instant';
import type { OperationContext, Refusal } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { Upgrade, Viewer } from '../../../records/table';
import type { PictureType } from '../../plant/files/files';
import type { Entry, EntryContents, EntryKind, EntryOf } from './entries';
import type { Cells, NamedRows } from './entry-cells';
import type { NoticeFact } from './notice-fact';
import type { WorkOrder } from './work-order';

/**
 * What a past keeps of one entry of a kind. Kinds of which it keeps nothing are not in it. Each subject adds its own
 * (`declare module`); the list of them stands in a `PastJob` under the plural of the kind.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- it is filled by the subjects
export interface PastKept {}

export type PastKind = keyof PastKept & EntryKind;

/** How a past keeps entries of a kind. */
interface PastFacet<K extends PastKind> {
  /** Of the standing entries of one work order, in the order of time. */
  readonly keep: (entries: readonly EntryOf<K>[]) => readonly PastKept[K][];
  /** When it happened. */
  readonly at: (kept: PastKept[K], job: { readonly at: Instant; readonly endedAt: Instant | null }) => Instant;
  /** Words by which it is found beside its job; empty for none. */
  readonly words: (kept: PastKept[K]) => string;
}

/** What a sum of costs is made of, in the order in which it is said. */
export const costGroups = ['time', 'material', 'boughtIn', 'other'] as const;
export type CostGroup = (typeof costGroups)[number];

interface CostFacet<K extends EntryKind> {
  readonly group: CostGroup;
  /** Null where it may not be seen by whoever has this entry. */
  readonly amount: (content: EntryContents[K]) => Money | null;
  /** Whether the entry is nothing but this cost: where no money may stand it is left out. */
  readonly isAllOfIt: boolean;
}

/** A picture that an entry is or brings with it. */
export interface EntryPicture {
  readonly fileId: FileId;
  readonly mediaType: PictureType;
  /** What is written below it. */
  readonly caption: string;
  /** Whether it shows what something cost. */
  readonly isReceipt: boolean;
}

/** What of a work order it takes to say what was done in somebody's name. */
type Isolated = Pick<WorkOrder, 'isolation'>;

/** What an entry did in the name of somebody else than who recorded it, who is told of it. */
interface InNameOf {
  readonly personId: PersonId;
  readonly fact: NoticeFact;
}

/**
 * Kinds of which something is put back when an entry is taken back. Each subject adds its own (`declare module`), and says in its
 * `…-put-back.ts` how: that is composed with the operations, which alone do it.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- it is filled by the subjects
export interface PutBackKinds {}

/** Taking an entry back only marks it, or puts something back as well; null where it is never taken back. */
export type Withdrawing<K extends EntryKind> = K extends keyof PutBackKinds ? 'putsBack' : 'marks' | null;

/** Puts back what an entry had moved, or says why it cannot be now. */
type PutBack<K extends EntryKind> = (
  records: Records,
  work: WorkOrder,
  entry: EntryOf<K>,
  context: OperationContext,
) => Promise<Refusal | null>;

export type PutBackSet = { readonly [K in keyof PutBackKinds & EntryKind]: PutBack<K> };
export type PutBacksNamed<K extends keyof PutBackKinds & EntryKind> = { readonly [N in K]: PutBack<N> };

/** How something of a kind is put back, as code sees it that works on entries of any kind. */
export function anyPutBack(
  putBacks: PutBackSet,
  kind: string,
): ((records: Records, work: WorkOrder, entry: Entry, context: OperationContext) => Promise<Refusal | null>) | null {
  return Object.hasOwn(putBacks, kind) ? ((putBacks as unknown as Record<string, never>)[kind] ?? null) : null;
}

/** Everything that there is to say of a kind of entry; nothing of it may be left out. */
export interface EntryKindDefinition<K extends EntryKind> {
  /** The version of the protocol with which it came: older phones do not hear of it. */
  readonly since: number;
  /** The file that it names; null for none. */
  readonly file: ((content: EntryContents[K]) => FileId | null) | null;
  /** The picture that it is, or that came with it; null for kinds without one. */
  readonly picture: ((content: EntryContents[K]) => EntryPicture | null) | null;
  /** What its line in a table says, beside when, by whom and of which kind it is. */
  readonly cells: (content: EntryContents[K], names: NamedRows) => Cells;
  /** The content as it is shown to somebody who may not know all of it; null where it is shown as it is. */
  readonly shown: ((content: EntryContents[K], viewer: Viewer) => EntryContents[K]) | null;
  /** The operation that puts another value in its place; null where it is only taken back, or not even that. */
  readonly amendedBy: string | null;
  /** What taking it back does; see `Withdrawing`. */
  readonly withdraw: Withdrawing<K>;
  readonly past: K extends PastKind ? PastFacet<K> : null;
  readonly cost: CostFacet<K> | null;
  /** What followers of the work order are told was recorded, such as `a note`; null where they are not told. */
  readonly notificationText: string | null;
  /** To whom it gives a part of the work, who has to hear of it; null for kinds that give nothing. */
  readonly gives: ((entry: EntryOf<K>) => InNameOf | null) | null;
  /** What of it the storekeepers of the site have to hear; null for kinds that never concern them. */
  readonly tellsStore: ((entry: EntryOf<K>) => NoticeFact | null) | null;
  /** What it did in somebody else's name; null for kinds that never do. */
  readonly inNameOf: ((entry: EntryOf<K>, work: Isolated, nameOf: (id: PersonId) => string) => InNameOf | null) | null;
  /** The oldest first. */
  readonly upgrades: readonly Upgrade[];
}

export type EntryKindSet = { readonly [K in EntryKind]: EntryKindDefinition<K> };

/** The kinds of entry of one subject. */
export type EntryKindsNamed<K extends EntryKind> = { readonly [N in K]: EntryKindDefinition<N> };

/** A definition as code sees it that works on entries of any kind: the link to the content is lost here, and only here. */
export interface AnyEntryKind {
  readonly since: number;
  readonly file: ((content: Entry['content']) => FileId | null) | null;
  readonly picture: ((content: Entry['content']) => EntryPicture | null) | null;
  readonly cells: (content: Entry['content'], names: NamedRows) => Cells;
  readonly shown: ((content: Entry['content'], viewer: Viewer) => Entry['content']) | null;
  readonly amendedBy: string | null;
  readonly withdraw: 'marks' | 'putsBack' | null;
  readonly cost: {
    readonly group: CostGroup;
    readonly amount: (content: Entry['content']) => Money | null;
    readonly isAllOfIt: boolean;
  } | null;
  readonly notificationText: string | null;
  readonly gives: ((entry: Entry) => InNameOf | null) | null;
  readonly tellsStore: ((entry: Entry) => NoticeFact | null) | null;
  readonly inNameOf: ((entry: Entry, work: Isolated, nameOf: (id: PersonId) => string) => InNameOf | null) | null;
  readonly upgrades: readonly Upgrade[];
}

/** The definition of a kind; undefined for one that only a later Oilcan knows. */
export function anyEntryKind(kinds: EntryKindSet, kind: string): AnyEntryKind | undefined {
  return Object.hasOwn(kinds, kind) ? (kinds[kind as EntryKind] as unknown as AnyEntryKind) : undefined;
}

/** What most kinds are: shown as they are, without a file or picture, not amended, in no past, without a cost, and nobody is told. */
export const plainEntry = {
  since: 6,
  file: null,
  picture: null,
  shown: null,
  amendedBy: null,
  withdraw: null,
  past: null,
  cost: null,
  notificationText: null,
  gives: null,
  tellsStore: null,
  inNameOf: null,
  upgrades: [],
} as const;
