import type { ErrorCode, ErrorDefinition, ErrorValues } from '../kernel/errors/catalogue';
import { computingErrors } from '../kernel/errors/computing-errors';
import { requestErrors } from '../kernel/errors/request-errors';
import { operationErrors } from '../operations/operation-errors';
import { copiesErrors } from '../subjects/copies/copies-errors';
import { filesErrors } from '../subjects/files/files-errors';
import { goAheadErrors } from '../subjects/go-ahead/go-ahead-errors';
import { hazardsErrors } from '../subjects/hazards/hazards-errors';
import { isolationErrors } from '../subjects/isolation/isolation-errors';
import { kitListErrors } from '../subjects/kit-list/kit-list-errors';
import { labelsErrors } from '../subjects/labels/labels-errors';
import { laborErrors } from '../subjects/labor/labor-errors';
import { lifecycleErrors } from '../subjects/lifecycle/lifecycle-errors';
import { noneErrors } from '../subjects/none/none-errors';
import { numbersErrors } from '../subjects/numbers/numbers-errors';
import { clockPlaceErrors } from '../subjects/places-of-clocks/clock-place-errors';
import { peopleErrors } from '../subjects/people/people-errors';
import { plansErrors } from '../subjects/plans/plans-errors';
import { raiseErrors } from '../subjects/raise/raise-errors';
import { readingsErrors } from '../subjects/readings/readings-errors';
import { reportsErrors } from '../subjects/reports/reports-errors';
import { returnErrors } from '../subjects/return-to-service/return-errors';
import { roundsErrors } from '../subjects/rounds/rounds-errors';
import { scheduleErrors } from '../subjects/schedule/schedule-errors';
import { sharesErrors } from '../subjects/shares/shares-errors';
import { stepsErrors } from '../subjects/steps/steps-errors';
import { stoppagesErrors } from '../subjects/stoppages/stoppages-errors';
import { stockErrors } from '../subjects/stock/stock-errors';
import { workErrors } from '../subjects/work/work-errors';

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
