import { attachmentsViews } from '../../recording/attachments/attachments-views';
import { copiesViews } from '../../past/copies/copies-views';
import { expensesViews } from '../../recording/expenses/expenses-views';
import { faultsViews } from '../../recording/faults/faults-views';
import { goAheadViews } from '../../recording/go-ahead/go-ahead-views';
import { hazardsViews } from '../../orders/hazards/hazards-views';
import { incidentsViews } from '../../raising/incidents/incidents-views';
import { isolationViews } from '../../orders/isolation/isolation-views';
import { kitListViews } from '../../stores/kit-list/kit-list-views';
import { labelsViews } from '../../raising/labels/labels-views';
import { laborViews } from '../../recording/labor/labor-views';
import { lifecycleViews } from '../../finishing/lifecycle/lifecycle-views';
import { noneViews } from '../../recording/none/none-views';
import { notesViews } from '../../recording/notes/notes-views';
import { noticesViews } from '../../overview/notices/notices-views';
import { plansViews } from '../../finishing/plans/plans-views';
import { photosViews } from '../../recording/photos/photos-views';
import { peopleViews } from '../../plant/people/people-views';
import { raiseViews } from '../../raising/raise/raise-views';
import { raiseRulesViews } from '../../orders/raise-rules/raise-rules-views';
import { readingsViews } from '../../steps/readings/readings-views';
import { reportsViews } from '../../raising/reports/reports-views';
import { returnViews } from '../../finishing/return-to-service/return-views';
import { reviewViews } from '../../finishing/review/review-views';
import { roundsViews } from '../../steps/rounds/rounds-views';
import { scheduleViews } from '../../finishing/schedule/schedule-views';
import { servicesViews } from '../../recording/services/services-views';
import { sharesViews } from '../../recording/shares/shares-views';
import { stepsViews } from '../../steps/steps/steps-views';
import { countsViews } from '../../stores/counts/counts-views';
import { issueViews } from '../../stores/issue/issue-views';
import { requestsViews } from '../../stores/requests/requests-views';
import { transfersViews } from '../../stores/transfers/transfers-views';
import { stockViews } from '../../stores/stock/stock-views';
import { stoppagesViews } from '../../recording/stoppages/stoppages-views';
import type { DockItem } from '../views/dock-item';
import type { EntryViewSet } from '../views/entry-view';
import type { OperationViewSet } from '../views/operation-view';
import { toolsViews } from '../../recording/tools/tools-views';
import { workViews } from '../../orders/work/work-views';

/** How every kind of entry is shown; those that the dock records in its order. */
export const entryViews: EntryViewSet = {
  ...laborViews.entries,
  ...stockViews.entries,
  ...readingsViews.entries,
  ...faultsViews.entries,
  ...stoppagesViews.entries,
  ...notesViews.entries,
  ...expensesViews.entries,
  ...servicesViews.entries,
  ...toolsViews.entries,
  ...reportsViews.entries,
  ...photosViews.entries,
  ...attachmentsViews.entries,
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
  ...requestsViews.operations,
  ...issueViews.operations,
  ...transfersViews.operations,
  ...countsViews.operations,
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
export const dockItems: readonly DockItem[] = Object.values(entryViews).flatMap(({ dock }) => dock ?? []);

/** The sheets in which entries are amended. */
export const amendSheets = Object.values(entryViews).flatMap(({ AmendSheet }) => AmendSheet ?? []);
