import type { ComponentType } from 'react';
import type { EntryId, WorkOrderId } from '@oilcan/core/kernel';
import type { ArgsOf, OperationName } from '@oilcan/core/registry/operations';
import type { EntryContents, EntryKind, EntryOf, PastKept, PastKind, WorkOrder } from '@oilcan/core/orders/work';
import type { LazyComponent } from '../../../ui/loading/lazy-component';
import type { DockItem } from './dock-item';
import type { Names } from './names';
import type { RecordGroup } from './record-group';

export interface EntryWords {
  readonly headline: string;
  readonly detail: string;
}

/** How the value of an entry is typed again. */
export type AmendForm<K extends EntryKind> = { [N in OperationName]: AmendBy<K, N> }[OperationName];

interface AmendBy<K extends EntryKind, N extends OperationName> {
  readonly label: string;
  readonly lines: number;
  /** How to write it, for who wrote it so that it cannot be read. */
  readonly hint: string | ((typed: string) => string);
  readonly typed: (content: EntryContents[K]) => string;
  /** Puts what was typed in its place. */
  readonly operation: N;
  /** What it asks for, and what is said when it was taken; null for what cannot be read. */
  readonly ask: (
    on: { readonly workOrderId: WorkOrderId; readonly entryId: EntryId },
    content: EntryContents[K],
    typed: string,
  ) => { readonly args: ArgsOf<N>; readonly said: string } | null;
}

/** How a past tells of a kind of entry. */
export interface PastView<K extends PastKind> {
  /** What several of them are called, as a heading. */
  readonly many: string;
  /** One of them in a line. */
  readonly line: (kept: PastKept[K], names: Names) => string;
}

/** Everything by which a kind of entry is shown; nothing of it may be left out. */
export interface EntryView<K extends EntryKind> {
  /** Where a narrowed record has it; null stands with the entry that it takes back. */
  readonly group: RecordGroup | null;
  /** How it is recorded from the dock or beside what the job cost; null for what is recorded otherwise. */
  readonly dock: DockItem | null;
  /** What it says, as a headline and a quieter line. */
  readonly say: (entry: EntryOf<K>, names: Names, language: string) => EntryWords;
  /** A picture beside its words; null for kinds without one. */
  readonly Picture: ComponentType<{ readonly content: EntryContents[K]; readonly isSmall?: boolean }> | null;
  readonly amend: AmendForm<K> | null;
  /** Where there is more to amend than one value: a sheet of its own. */
  readonly AmendSheet: LazyComponent<{
    readonly work: WorkOrder;
    readonly entry: EntryOf<K>;
    readonly onClose: () => void;
  }> | null;
  /** What else can be done with an entry of this kind, offered where it is open in full; null for nothing. */
  readonly Actions: ComponentType<{
    readonly work: WorkOrder;
    readonly entry: EntryOf<K>;
    /** Whether the person may put another in its place. */
    readonly canMend: boolean;
    readonly onClose: () => void;
  }> | null;
  readonly past: K extends PastKind ? PastView<K> : null;
}

export type EntryViewSet = { readonly [K in EntryKind]: EntryView<K> };
export type EntryViewsNamed<K extends EntryKind> = { readonly [N in K]: EntryView<N> };

/** What is shown by its words alone. */
export const inWords = { Picture: null, amend: null, AmendSheet: null, Actions: null, past: null } as const;
