import type { AssetId } from '../kernel/ids';
import { costByCentre, costOfEntries, type CentreCost, type WorkCost } from '../subjects/costs/cost';
import { attachmentsEntries } from '../subjects/attachments/attachments-entries';
import { expensesEntries } from '../subjects/expenses/expenses-entries';
import { faultsEntries } from '../subjects/faults/faults-entries';
import { hazardsEntries } from '../subjects/hazards/hazards-entries';
import { isolationEntries } from '../subjects/isolation/isolation-entries';
import { laborEntries } from '../subjects/labor/labor-entries';
import { noneEntries } from '../subjects/none/none-entries';
import { notesEntries } from '../subjects/notes/notes-entries';
import { photosEntries } from '../subjects/photos/photos-entries';
import { readingsEntries } from '../subjects/readings/readings-entries';
import { returnEntries } from '../subjects/return-to-service/return-entries';
import { sealOf, sealStanding, type Seal, type SealStanding } from '../subjects/return-to-service/seal';
import { roundsEntries } from '../subjects/rounds/rounds-entries';
import { scheduleEntries } from '../subjects/schedule/schedule-entries';
import { servicesEntries } from '../subjects/services/services-entries';
import { sharesEntries } from '../subjects/shares/shares-entries';
import { stepsEntries } from '../subjects/steps/steps-entries';
import { stockEntries } from '../subjects/stock/stock-entries';
import { reportsEntries } from '../subjects/reports/reports-entries';
import { stoppagesEntries } from '../subjects/stoppages/stoppages-entries';
import { toolsEntries } from '../subjects/tools/tools-entries';
import { costByShare, type CostByShare } from '../subjects/shares/by-share';
import type { Share } from '../subjects/shares/share';
import type { Step } from '../subjects/steps/step';
import type { Entry } from '../subjects/work/entries';
import type { EntryKindSet } from '../subjects/work/entry-kinds';
import { workEntries } from '../subjects/work/work-entries';

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
