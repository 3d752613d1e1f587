import type { AssetId } from '../kernel/ids';
import { costByCentre, costOfEntries, type CentreCost, type WorkCost } from '../subjects/recording/costs/cost';
import { attachmentsEntries } from '../subjects/recording/attachments/attachments-entries';
import { expensesEntries } from '../subjects/recording/expenses/expenses-entries';
import { faultsEntries } from '../subjects/recording/faults/faults-entries';
import { hazardsEntries } from '../subjects/orders/hazards/hazards-entries';
import { isolationEntries } from '../subjects/orders/isolation/isolation-entries';
import { laborEntries } from '../subjects/recording/labor/labor-entries';
import { noneEntries } from '../subjects/recording/none/none-entries';
import { notesEntries } from '../subjects/recording/notes/notes-entries';
import { photosEntries } from '../subjects/recording/photos/photos-entries';
import { readingsEntries } from '../subjects/steps/readings/readings-entries';
import { returnEntries } from '../subjects/finishing/return-to-service/return-entries';
import { sealOf, sealStanding, type Seal, type SealStanding } from '../subjects/finishing/return-to-service/seal';
import { roundsEntries } from '../subjects/steps/rounds/rounds-entries';
import { scheduleEntries } from '../subjects/finishing/schedule/schedule-entries';
import { servicesEntries } from '../subjects/recording/services/services-entries';
import { sharesEntries } from '../subjects/recording/shares/shares-entries';
import { stepsEntries } from '../subjects/steps/steps/steps-entries';
import { stockEntries } from '../subjects/stores/stock/stock-entries';
import { reportsEntries } from '../subjects/raising/reports/reports-entries';
import { stoppagesEntries } from '../subjects/recording/stoppages/stoppages-entries';
import { toolsEntries } from '../subjects/recording/tools/tools-entries';
import { costByShare, type CostByShare } from '../subjects/recording/shares/by-share';
import type { Share } from '../subjects/recording/shares/share';
import type { Step } from '../subjects/steps/steps/step';
import type { Entry, EntryContent } from '../subjects/orders/work/entries';
import { anyEntryKind, type EntryKindSet, type EntryPicture } from '../subjects/orders/work/entry-kinds';
import { workEntries } from '../subjects/orders/work/work-entries';

/** Every kind of entry, in the order in which a past tells of them. */
export const entryKinds: EntryKindSet = {
  ...faultsEntries,
  ...stockEntries,
  ...stoppagesEntries,
  ...readingsEntries,
  ...notesEntries,
  ...reportsEntries,
  ...expensesEntries,
  ...servicesEntries,
  ...toolsEntries,
  ...photosEntries,
  ...attachmentsEntries,
  ...laborEntries,
  ...noneEntries,
  ...stepsEntries,
  ...sharesEntries,
  ...roundsEntries,
  ...hazardsEntries,
  ...isolationEntries,
  ...scheduleEntries,
  ...returnEntries,
  ...workEntries,
};

/** What a work order cost, from everything recorded on it. */
export function costOf(entries: readonly Entry[]): WorkCost {
  return costOfEntries(entryKinds, entries);
}

/** Whether entries of a kind are nothing but an amount of money. */
export function isOnlyCost(kind: string): boolean {
  return anyEntryKind(entryKinds, kind)?.cost?.isAllOfIt ?? false;
}

/** The picture that an entry is, or that came with it; null for none. */
export function pictureOf(content: EntryContent): EntryPicture | null {
  return anyEntryKind(entryKinds, content.kind)?.picture?.(content) ?? null;
}

/** What each share of a work order cost, and what is in none. */
export function costOfShares(shares: readonly Share[], steps: readonly Step[], entries: readonly Entry[]): CostByShare {
  return costByShare(entryKinds, shares, steps, entries);
}

/** What a work order cost by the cost centres that it is charged to. */
export function costOfCentres(
  entries: readonly Entry[],
  centreOf: (assetId: AssetId) => string | undefined,
): CentreCost[] {
  return costByCentre(entryKinds, entries, centreOf);
}

/** What a signature is given for: everything that stands on a work order. */
export function sealOfRecord(entries: readonly Entry[]): Seal {
  return sealOf(entryKinds, entries);
}

/** What became of a record since it was signed for. */
export function standingOfSeal(seal: Seal, entries: readonly Entry[]): SealStanding {
  return sealStanding(entryKinds, seal, entries);
}
