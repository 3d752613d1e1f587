import type { IsolationAct } from '@oilcan/core/orders/isolation';
import type { PersonId } from '@oilcan/core/kernel';
import type { OtherTimeReason, TimeType } from '@oilcan/core/recording/labor';
import type { Owed } from '@oilcan/core/finishing/lifecycle';
import type { Role } from '@oilcan/core/operations';
import type { PermitKind } from '@oilcan/core/plant/permits';
import type { ReadingLevel } from '@oilcan/core/steps/readings';
import type { ShiftGroup } from '@oilcan/core/finishing/shift';
import type { CostGroup, Energy, HoldReason, Urgency, WorkKind, WorkOrder, WorkState } from '@oilcan/core/orders/work';

export const urgencyWords: Readonly<Record<Urgency, string>> = {
  now: 'Now',
  shift: 'This shift',
  week: 'This week',
  free: 'When free',
};

export const stateWords: Readonly<Record<WorkState, string>> = {
  ready: 'Ready',
  underway: 'Underway',
  held: 'Held',
  finished: 'Finished',
  accepted: 'Accepted',
  dropped: 'Dropped',
};

export const kindWords: Readonly<Record<WorkKind, string>> = {
  corrective: 'Corrective',
  preventive: 'Preventive',
  inspection: 'Inspection',
  improvement: 'Improvement',
};

export const groupWords: Readonly<Record<ShiftGroup, string>> = {
  now: 'Now',
  shift: 'This shift',
  week: 'This week',
  later: 'Later',
  putOff: 'Put off',
  done: 'Done',
};

export const timeTypeWords: Readonly<Record<TimeType, string>> = {
  regular: 'Regular',
  overtime: 'Overtime',
  travel: 'Travel',
};

export const otherTimeWords: Readonly<Record<OtherTimeReason, string>> = {
  meeting: 'Meeting',
  drive: 'Drive',
  training: 'Training',
  tidying: 'Tidying up',
  waiting: 'Waiting',
  other: 'Something else',
};

export const levelWords: Readonly<Record<ReadingLevel, string>> = {
  normal: 'In limits',
  alert: 'Beyond alert',
  alarm: 'Beyond alarm',
};

export const holdWords: Readonly<Record<HoldReason, string>> = {
  part: 'Waiting for a part',
  access: 'No access',
  weather: 'Weather',
  help: 'Needs help',
  tool: 'Tool missing',
  shift: 'The next shift goes on',
  other: 'Something else',
};

/** Sums of what a job cost, each as it stands before its amount. */
export const costGroupWords: Readonly<Record<CostGroup, string>> = {
  time: 'Own time',
  material: 'Parts',
  boughtIn: 'Bought in',
  other: 'Other costs',
};

/** What was done about energy. */
export const isolationWords: Readonly<Record<IsolationAct, string>> = {
  shutDown: 'Machine shut down',
  lock: 'Lock on',
  release: 'Stored energy released',
  test: 'Tested: no energy',
  unlock: 'Lock off',
};

export const energyWords: Readonly<Record<Energy, string>> = {
  electrical: 'Electrical',
  hydraulic: 'Hydraulic',
  pneumatic: 'Compressed air',
  mechanical: 'Mechanical',
  gravity: 'Gravity',
  thermal: 'Heat',
  chemical: 'Chemical',
  water: 'Water',
};

export const permitWords: Readonly<Record<PermitKind, string>> = {
  hotWork: 'Hot work',
  height: 'Work at height',
  confinedSpace: 'Confined space',
  electrical: 'Electrical work',
  lifting: 'Lifting',
  excavation: 'Digging',
};

export const roleWords: Readonly<Record<Role, string>> = {
  technician: 'Technician',
  lead: 'Lead',
  storekeeper: 'Storekeeper',
};

/** The state as the sheet names it; handed-back work says so. */
export function stateOf(work: Pick<WorkOrder, 'state' | 'handedBack'>): string {
  return work.handedBack === null ? stateWords[work.state] : 'Handed back';
}

/** What must be recorded, as a line that is pressed to mend it; `me` is who reads it. */
export function owedWords(owed: Owed, me: PersonId, nameOf: (personId: string) => string): string {
  switch (owed.what) {
    case 'step':
      return owed.text;
    case 'share':
      return `The share of ${nameOf(owed.personId)}: ${owed.progress.done} of ${owed.progress.of} done`;
    case 'reading':
      return `${owed.isMeter ? 'The meter' : 'A reading'}: ${owed.name}`;
    case 'fault':
      return 'The fault, or that none was found';
    case 'part':
      return 'The parts that were taken, or that none was';
    case 'stoppage':
      return 'How long it stood still, or that it did not';
    case 'stoppageEnd':
      return 'The end of the stoppage: does it run again?';
    case 'time':
      return 'Your time, or that you had none';
    case 'timeOfAnother':
      return `The time of ${nameOf(owed.personId)}, who will be told`;
    case 'photo':
      return 'A photo';
    case 'signature':
      return 'A signature';
    case 'codes':
      return `Cause and work of the fault${owed.component === '' ? '' : `: ${owed.component}`}`;
    case 'lock':
      return `${owed.personId === me ? 'Your lock' : `The lock of ${nameOf(owed.personId)}`} is still on: ${owed.device}`;
    case 'clockOfAnother':
      return `The clock of ${nameOf(owed.personId)} is still running`;
  }
}

/** “1 job”, “6 jobs”. */
export function counted(count: number, one: string, many: string): string {
  return `${count} ${count === 1 ? one : many}`;
}
