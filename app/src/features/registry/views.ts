import { attachmentsViews } from '../attachments/attachments-views';
import { copiesViews } from '../copies/copies-views';
import { expensesViews } from '../expenses/expenses-views';
import { faultsViews } from '../faults/faults-views';
import { goAheadViews } from '../go-ahead/go-ahead-views';
import { hazardsViews } from '../hazards/hazards-views';
import { incidentsViews } from '../incidents/incidents-views';
import { isolationViews } from '../isolation/isolation-views';
import { kitListViews } from '../kit-list/kit-list-views';
import { labelsViews } from '../labels/labels-views';
import { laborViews } from '../labor/labor-views';
import { lifecycleViews } from '../lifecycle/lifecycle-views';
import { noneViews } from '../none/none-views';
import { notesViews } from '../notes/notes-views';
import { noticesViews } from '../notices/notices-views';
import { plansViews } from '../plans/plans-views';
import { photosViews } from '../photos/photos-views';
import { peopleViews } from '../people/people-views';
import { raiseViews } from '../raise/raise-views';
import { raiseRulesViews } from '../raise-rules/raise-rules-views';
import { readingsViews } from '../readings/readings-views';
import { reportsViews } from '../reports/reports-views';
import { returnViews } from '../return-to-service/return-views';
import { reviewViews } from '../review/review-views';
import { roundsViews } from '../rounds/rounds-views';
import { scheduleViews } from '../schedule/schedule-views';
import { servicesViews } from '../services/services-views';
import { sharesViews } from '../shares/shares-views';
import { stepsViews } from '../steps/steps-views';
import { stockViews } from '../stock/stock-views';
import { stoppagesViews } from '../stoppages/stoppages-views';
import type { DockItem } from '../views/dock-item';
import type { EntryViewSet } from '../views/entry-view';
import type { OperationViewSet } from '../views/operation-view';
import { toolsViews } from '../tools/tools-views';
import { workViews } from '../work/work-views';

/** How every kind of entry is shown. */
export const entryViews: EntryViewSet = {
  ...faultsViews.entries,
  ...stockViews.entries,
  ...stoppagesViews.entries,
  ...readingsViews.entries,
  ...notesViews.entries,
  ...reportsViews.entries,
  ...expensesViews.entries,
  ...servicesViews.entries,
  ...toolsViews.entries,
  ...photosViews.entries,
  ...attachmentsViews.entries,
  ...laborViews.entries,
  ...noneViews.entries,
  ...stepsViews.entries,
  ...sharesViews.entries,
  ...roundsViews.entries,
  ...hazardsViews.entries,
  ...isolationViews.entries,
  ...lifecycleViews.entries,
  ...scheduleViews.entries,
  ...returnViews.entries,
  ...workViews.entries,
};

/** How every kind of operation is shown. */
export const operationViews: OperationViewSet = {
  ...workViews.operations,
  ...peopleViews.operations,
  ...raiseViews.operations,
  ...raiseRulesViews.operations,
  ...goAheadViews.operations,
  ...reportsViews.operations,
  ...incidentsViews.operations,
  ...lifecycleViews.operations,
  ...scheduleViews.operations,
  ...plansViews.operations,
  ...copiesViews.operations,
  ...reviewViews.operations,
  ...returnViews.operations,
  ...hazardsViews.operations,
  ...isolationViews.operations,
  ...stepsViews.operations,
  ...sharesViews.operations,
  ...roundsViews.operations,
  ...laborViews.operations,
  ...noneViews.operations,
  ...stockViews.operations,
  ...stoppagesViews.operations,
  ...faultsViews.operations,
  ...readingsViews.operations,
  ...notesViews.operations,
  ...expensesViews.operations,
  ...servicesViews.operations,
  ...toolsViews.operations,
  ...photosViews.operations,
  ...attachmentsViews.operations,
  ...labelsViews.operations,
  ...kitListViews.operations,
  ...noticesViews.operations,
};

/** What is recorded from the dock, beside the clock, and from where it is placed otherwise; in their order. */
export const dockItems: readonly DockItem[] = [
  ...laborViews.dock,
  ...stockViews.dock,
  ...readingsViews.dock,
  ...faultsViews.dock,
  ...stoppagesViews.dock,
  ...notesViews.dock,
  ...expensesViews.dock,
  ...servicesViews.dock,
  ...toolsViews.dock,
];

/** The sheets in which entries are amended. */
export const amendSheets = Object.values(entryViews).flatMap(({ AmendSheet }) => AmendSheet ?? []);
