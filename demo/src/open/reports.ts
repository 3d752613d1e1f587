import {
  addMinutes,
  asId,
  type IncidentId,
  type Instant,
  type PersonId,
  type ReportId,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import type { Incident } from '@oilcan/core/raising/incidents';
import { LABEL_KEY_LENGTH, labelKeyFrom, type ReportLabel } from '@oilcan/core/raising/labels';
import type { Asset, AssetCondition } from '@oilcan/core/plant/plant';
import { rulesOf, type RaiseRules } from '@oilcan/core/orders/raise-rules';
import { newReport, takenUp, urgencyOfReport, withEvent, type Guest, type Report } from '@oilcan/core/raising/reports';
import { newWorkOrder, type WorkOrder } from '@oilcan/core/orders/work';
import { arun, ines, jonas, lifts, pavel, snow, tess } from '../mountain/people';
import type { Sector } from '../mountain/mountain';
import { randomFor } from '../random';

/** How the two sites take reports: on the lifts technicians take them up themselves. */
export const raiseRules: readonly RaiseRules[] = [lifts, snow].map((siteId) => ({
  ...rulesOf(siteId, undefined),
  goAhead: { kinds: ['improvement'], aboveMinor: 150_000, minorPerHour: 6_000 },
  technicianTakesUp: siteId === lifts,
  takesGuests: true,
  publicKnowledge: 'titles',
}));

interface ReportPlan {
  readonly asset: string;
  readonly words: string;
  readonly minutesAgo: number;
  readonly by?: PersonId;
  readonly guest?: Guest;
  readonly condition?: AssetCondition;
  readonly danger?: boolean;
  /** What became of it, and after how many minutes. */
  readonly then?:
    | { readonly is: 'asked' | 'declined'; readonly words: string; readonly after: number }
    /** There is open work on the machine, which it joined. */
    | { readonly is: 'joined'; readonly after: number };
}

const HOUR = 60;
const DAY = 24 * HOUR;

const plans: readonly ReportPlan[] = [
  {
    asset: 'juniper-chairs',
    words: 'Chair 14 swings sideways at the entrance and nearly hit a child',
    minutesAgo: 25,
    guest: { name: 'Edda Morawetz', reach: '+44 1632 960 733' },
    condition: 'reduced',
    danger: true,
  },
  {
    asset: 'lark-conveyor-base',
    words: 'Belt squeaks when it starts, on the right side',
    minutesAgo: 3 * HOUR,
    guest: { name: '', reach: '' },
    condition: 'running',
  },
  {
    asset: 'lark-conveyor-base',
    words: 'The conveyor belt squeaks loudly at every start',
    minutesAgo: 2 * HOUR,
    by: arun.id,
    condition: 'running',
    danger: false,
  },
  {
    asset: 'lark-tension',
    words: 'Wet patch under the cylinder, the size of a hand',
    minutesAgo: 5 * HOUR,
    by: jonas.id,
    condition: 'running',
    then: { is: 'asked', words: 'Oil or water? Please smell at it.', after: 40 },
  },
  {
    asset: 'lark-gearbox',
    words: 'Oil on the floor under the big gearbox',
    minutesAgo: 26 * HOUR,
    guest: { name: 'Cleaning, night shift', reach: 'cleaning@example.org' },
    then: { is: 'joined', after: 55 },
  },
  {
    asset: 'lark-cabins',
    words: 'Door of cabin 9 closes before everybody is in',
    minutesAgo: 3 * DAY,
    guest: { name: 'Nils', reach: '' },
    danger: false,
    then: { is: 'declined', words: 'It closes at the white line on purpose; a sensor opens it again.', after: 130 },
  },
  {
    asset: 'gun-9',
    words: 'Throws water instead of snow',
    minutesAgo: 20 * HOUR,
    by: pavel.id,
    condition: 'reduced',
    then: { is: 'joined', after: 20 },
  },
];

/** Reports of one sector, some of them answered, numbered from one on. */
export function reportsOf(
  sector: Sector,
  assets: ReadonlyMap<string, Asset>,
  open: readonly WorkOrder[],
  firstNumber: number,
  now: Instant,
): Report[] {
  return plans.map((plan, index) => {
    const asset = assets.get(plan.asset);
    if (asset === undefined) throw new Error(`There is no machine ${plan.asset}.`);
    const at = addMinutes(now, -plan.minutesAgo);
    const { condition = null, danger = null, by = null, guest = null } = plan;
    const report = newReport({
      id: asId<ReportId>(sector.idOf(`report-${index + 1}`)),
      number: `P-${firstNumber + index}`,
      siteId: asset.siteId,
      assetId: asset.id,
      placeId: asset.placeId,
      words: plan.words,
      condition,
      danger,
      since: null,
      urgency: urgencyOfReport({ condition, danger }, asset.criticality),
      photo: null,
      by,
      guest,
      at,
    });
    return answeredAs(report, plan.then, open);
  });
}

function answeredAs(report: Report, then: ReportPlan['then'], open: readonly WorkOrder[]): Report {
  if (then === undefined) return report;
  const at = addMinutes(report.at, then.after);
  const id = `${report.id}-answer`;
  const answered = { ...report, answeredAt: at };
  switch (then.is) {
    case 'asked':
      return { ...withEvent(answered, { is: 'asked', by: tess.id, words: then.words }, id, at), state: 'asked' };
    case 'declined':
      return {
        ...withEvent(answered, { is: 'declined', by: tess.id, reason: then.words }, id, at),
        state: 'declined',
        endedAt: at,
      };
    case 'joined': {
      const work = open.find(({ assetId, kind }) => assetId === report.assetId && kind === 'corrective');
      return work === undefined ? report : takenUp(report, work, { isJoined: true, by: tess.id, id, at });
    }
  }
}

/** A near miss that Ines reported, and that only she and the lead see. */
export function incidentsOf(
  sector: Sector,
  assets: ReadonlyMap<string, Asset>,
  number: number,
  now: Instant,
): Incident[] {
  const asset = assets.get('lark-winch');
  if (asset === undefined) return [];
  const at = addMinutes(now, -28 * HOUR);
  return [
    {
      id: asId<IncidentId>(sector.idOf('incident-1')),
      number: `P-${number}`,
      siteId: asset.siteId,
      kind: 'nearMiss',
      assetId: asset.id,
      placeId: asset.placeId,
      words: 'Slipped on ice on the step in front of the winch room, held on to the rail',
      happenedAt: addMinutes(at, -15),
      causes: ['slippery', 'poorLight'],
      presentIds: [ines.id],
      presentOthers: '',
      doneAtOnce: 'Salted, and a cone put up',
      photo: null,
      signature: null,
      by: ines.id,
      at,
      readerIds: [ines.id, tess.id],
      notes: [],
      closed: null,
    },
  ];
}

/** What Pavel raised, and which waits for the lead since it is an improvement. */
export function waitingWorkOf(
  sector: Sector,
  assets: ReadonlyMap<string, Asset>,
  number: number,
  now: Instant,
): WorkOrder[] {
  const asset = assets.get('lark-control');
  if (asset === undefined) return [];
  const since = addMinutes(now, -4 * HOUR);
  return [
    newWorkOrder({
      id: asId<WorkOrderId>(sector.idOf('raised-1')),
      number: `W-${number}`,
      siteId: asset.siteId,
      assetId: asset.id,
      placeId: asset.placeId,
      kind: 'improvement',
      urgency: 'free',
      title: 'Second lamp over the control cabinet',
      reason: 'Terminals cannot be read without a torch.',
      tradeId: 'electrical',
      dueAt: null,
      estimateMinutes: 120,
      personIds: [pavel.id],
      crewId: null,
      hazards: [],
      kit: [],
      tools: [],
      createdAt: since,
      cameFrom: null,
      goAhead: { since, givenBy: null },
    }),
  ];
}

/** Machines that stand where everybody passes, and bear a label by which everybody may report. */
const labelled: readonly string[] = ['lark-conveyor-base', 'lark-cabins', 'juniper-chairs', 'pocket'];

export function reportLabelsOf(sector: Sector, assets: ReadonlyMap<string, Asset>, now: Instant): ReportLabel[] {
  return labelled.flatMap((key): ReportLabel[] => {
    const asset = assets.get(key);
    if (asset === undefined) return [];
    const random = randomFor(`label ${sector.idOf(key)}`);
    const bytes = Uint8Array.from({ length: LABEL_KEY_LENGTH }, () => Math.floor(random.next() * 256));
    const { siteId, id: assetId, placeId } = asset;
    const at = addMinutes(now, -90 * DAY);
    return [{ id: labelKeyFrom(bytes), siteId, assetId, placeId, by: tess.id, at, withdrawn: null }];
  });
}
