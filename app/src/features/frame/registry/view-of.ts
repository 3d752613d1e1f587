import type { ComponentType } from 'react';
import type { ArgsOf, OperationName } from '@oilcan/core/registry/operations';
import type { EntryId, WorkOrderId } from '@oilcan/core/kernel';
import type { Entry, EntryContent, EntryKind, WorkOrder } from '@oilcan/core/orders/work';
import type { LazyComponent } from '../../../ui/loading/lazy-component';
import type { EntryWords } from '../views/entry-view';
import type { Names } from '../views/names';
import type { RecordGroup } from '../views/record-group';
import { entryViews } from './views';

/** A view as code sees it that shows entries of any kind: the link to the content is lost here, and only here. */
interface AnyEntryView {
  readonly group: RecordGroup | null;
  readonly say: (entry: Entry, names: Names, language: string) => EntryWords;
  readonly Picture: ComponentType<{ readonly content: EntryContent; readonly isSmall?: boolean }> | null;
  readonly amend: {
    readonly label: string;
    readonly lines: number;
    readonly hint: string | ((typed: string) => string);
    readonly operation: OperationName;
    readonly typed: (content: EntryContent) => string;
    readonly ask: (
      on: { readonly workOrderId: WorkOrderId; readonly entryId: EntryId },
      content: EntryContent,
      typed: string,
    ) => { readonly args: ArgsOf<OperationName>; readonly said: string } | null;
  } | null;
  readonly AmendSheet: LazyComponent<{
    readonly work: WorkOrder;
    readonly entry: Entry;
    readonly onClose: () => void;
  }> | null;
  readonly Actions: ComponentType<{
    readonly work: WorkOrder;
    readonly entry: Entry;
    readonly canMend: boolean;
    readonly onClose: () => void;
  }> | null;
  readonly past: { readonly many: string; readonly line: (kept: unknown, names: Names) => string } | null;
}

/** How entries of a kind are shown. */
export function viewOf(kind: EntryKind): AnyEntryView {
  return entryViews[kind] as unknown as AnyEntryView;
}
