import type { ErrorCode, ErrorDefinition, ErrorValues } from '../kernel/errors/catalogue';
import { computingErrors } from '../kernel/errors/computing-errors';
import { requestErrors } from '../kernel/errors/request-errors';
import { operationErrors } from '../operations/operation-errors';
import { copiesErrors } from '../subjects/past/copies/copies-errors';
import { filesErrors } from '../subjects/plant/files/files-errors';
import { goAheadErrors } from '../subjects/recording/go-ahead/go-ahead-errors';
import { hazardsErrors } from '../subjects/orders/hazards/hazards-errors';
import { isolationErrors } from '../subjects/orders/isolation/isolation-errors';
import { kitListErrors } from '../subjects/stores/kit-list/kit-list-errors';
import { labelsErrors } from '../subjects/raising/labels/labels-errors';
import { laborErrors } from '../subjects/recording/labor/labor-errors';
import { lifecycleErrors } from '../subjects/finishing/lifecycle/lifecycle-errors';
import { noneErrors } from '../subjects/recording/none/none-errors';
import { numbersErrors } from '../subjects/plant/numbers/numbers-errors';
import { clockPlaceErrors } from '../subjects/orders/places-of-clocks/clock-place-errors';
import { peopleErrors } from '../subjects/plant/people/people-errors';
import { plansErrors } from '../subjects/finishing/plans/plans-errors';
import { raiseErrors } from '../subjects/raising/raise/raise-errors';
import { readingsErrors } from '../subjects/steps/readings/readings-errors';
import { reportsErrors } from '../subjects/raising/reports/reports-errors';
import { returnErrors } from '../subjects/finishing/return-to-service/return-errors';
import { roundsErrors } from '../subjects/steps/rounds/rounds-errors';
import { scheduleErrors } from '../subjects/finishing/schedule/schedule-errors';
import { sharesErrors } from '../subjects/recording/shares/shares-errors';
import { stepsErrors } from '../subjects/steps/steps/steps-errors';
import { stoppagesErrors } from '../subjects/recording/stoppages/stoppages-errors';
import { issueErrors } from '../subjects/stores/issue/issue-errors';
import { requestsErrors } from '../subjects/stores/requests/requests-errors';
import { countsErrors } from '../subjects/stores/counts/counts-errors';
import { transfersErrors } from '../subjects/stores/transfers/transfers-errors';
import { stockErrors } from '../subjects/stores/stock/stock-errors';
import { workErrors } from '../subjects/orders/work/work-errors';

/** Every error and every refusal there is: a code stands for one cause, on the phone, on the server and in the API. */
export const catalogue: Readonly<Record<ErrorCode, ErrorDefinition>> = {
  ...requestErrors,
  ...computingErrors,
  ...operationErrors,
  ...filesErrors,
  ...workErrors,
  ...numbersErrors,
  ...raiseErrors,
  ...goAheadErrors,
  ...reportsErrors,
  ...peopleErrors,
  ...plansErrors,
  ...copiesErrors,
  ...lifecycleErrors,
  ...returnErrors,
  ...scheduleErrors,
  ...hazardsErrors,
  ...isolationErrors,
  ...stepsErrors,
  ...sharesErrors,
  ...roundsErrors,
  ...laborErrors,
  ...clockPlaceErrors,
  ...noneErrors,
  ...stockErrors,
  ...requestsErrors,
  ...issueErrors,
  ...transfersErrors,
  ...countsErrors,
  ...stoppagesErrors,
  ...readingsErrors,
  ...labelsErrors,
  ...kitListErrors,
};

export const errorCodes = Object.keys(catalogue) as readonly ErrorCode[];

export function isErrorCode(text: string): text is ErrorCode {
  return Object.hasOwn(catalogue, text);
}

/** The sentence for a person that goes with a code. */
export function sentenceFor(code: ErrorCode, values: ErrorValues = {}): string {
  return catalogue[code].sentence(values);
}

/** The HTTP status that goes with a code. */
export function statusFor(code: ErrorCode): number {
  return catalogue[code].status;
}
