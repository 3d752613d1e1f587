import type { SiteId } from '../../../kernel/ids';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import type { Demand } from '../work/demands';
import type { Urgency, WorkKind } from '../work/work-order';

/** What somebody reports: that something is wrong with a machine or a place, or what happened to people, things or nature. */
export const reportKinds = ['problem', 'injury', 'nearMiss', 'damage', 'environment'] as const;
export type ReportKind = (typeof reportKinds)[number];

/** Everything but a problem. */
export const incidentKinds = ['injury', 'nearMiss', 'damage', 'environment'] as const;
export type IncidentKind = (typeof incidentKinds)[number];

/** What a reporter may be asked beside their words. */
export const reportQuestions = [
  'condition',
  'danger',
  'since',
  'photo',
  'reach',
  'causes',
  'present',
  'doneAtOnce',
  'signature',
] as const;
export type ReportQuestion = (typeof reportQuestions)[number];

/** The questions that make sense for a kind; no other can be asked of it. */
export const questionsOf: Readonly<Record<ReportKind, readonly ReportQuestion[]>> = {
  problem: ['condition', 'danger', 'since', 'photo', 'reach'],
  injury: ['causes', 'present', 'doneAtOnce', 'since', 'photo', 'signature'],
  nearMiss: ['causes', 'present', 'doneAtOnce', 'since', 'photo', 'signature'],
  damage: ['causes', 'present', 'doneAtOnce', 'since', 'photo', 'signature'],
  environment: ['causes', 'present', 'doneAtOnce', 'since', 'photo', 'signature'],
};

/** How much each question is wanted of a kind of report. */
export type Asked = Readonly<Partial<Record<ReportQuestion, Demand>>>;

/** When raised work waits until a lead lets it start. */
export interface GoAheadRule {
  /** Work of these kinds waits, whatever it is expected to cost. */
  readonly kinds: readonly WorkKind[];
  /** Work that is expected to cost more than this waits, in the smallest unit of the site's currency; null for any cost. */
  readonly aboveMinor: number | null;
  /** What an hour of work is taken to cost there, so that nobody's pay is told by it. */
  readonly minorPerHour: number;
}

/** What somebody without an account is told of a machine: nothing, or what work on it is called. */
export const publicKnowledge = ['nothing', 'titles'] as const;
export type PublicKnowledge = (typeof publicKnowledge)[number];

/** Within how many hours of being raised work of each urgency is due; null for never by itself. */
export type DueWithin = Readonly<Record<Urgency, number | null>>;

/** What holds where nobody chose; chosen for this product. */
const dueByDefault: DueWithin = { now: 4, shift: 12, week: 7 * 24, free: null };

/** How a site takes reports and raised work. A lead chooses it. */
export interface RaiseRules {
  /** The site's. */
  readonly id: SiteId;
  readonly siteId: SiteId;
  /** When raised work waits; it names nothing where all of it may start. */
  readonly goAhead: GoAheadRule;
  /** Whether technicians may take up a report as work without a lead. */
  readonly technicianTakesUp: boolean;
  /** Whether labels take reports of people without an account. */
  readonly takesGuests: boolean;
  readonly publicKnowledge: PublicKnowledge;
  readonly asked: Readonly<Record<ReportKind, Asked>>;
  /** When raised work is due by how urgent it is; absent where nobody chose. */
  readonly dueWithin?: DueWithin;
}

/** What is asked where nobody chose: what decides how soon somebody comes, and nothing that holds a reporter up. */
const askedByDefault: Readonly<Record<ReportKind, Asked>> = {
  problem: { condition: 'asked', danger: 'asked', photo: 'asked', reach: 'asked' },
  injury: { causes: 'asked', present: 'asked', doneAtOnce: 'must', since: 'asked', photo: 'asked', signature: 'asked' },
  nearMiss: { causes: 'asked', doneAtOnce: 'asked', photo: 'asked' },
  damage: { causes: 'asked', present: 'asked', doneAtOnce: 'asked', since: 'asked', photo: 'must' },
  environment: { causes: 'asked', doneAtOnce: 'must', since: 'asked', photo: 'asked' },
};

/** The rules of a site; where nobody chose, raised work may start, reports are answered by leads, and outsiders are told nothing. */
export function rulesOf(siteId: SiteId, chosen: RaiseRules | undefined): RaiseRules {
  return (
    chosen ?? {
      id: siteId,
      siteId,
      goAhead: { kinds: [], aboveMinor: null, minorPerHour: 0 },
      technicianTakesUp: false,
      takesGuests: false,
      publicKnowledge: 'nothing',
      asked: askedByDefault,
    }
  );
}

/** When work that is raised at a moment is due by how urgent it is; null where it never is by itself. */
export function dueBy(
  { dueWithin = dueByDefault }: Pick<RaiseRules, 'dueWithin'>,
  urgency: Urgency,
  at: Instant,
): Instant | null {
  const hours = dueWithin[urgency];
  return hours === null ? null : addMinutes(at, hours * 60);
}

/** The hours of the rule, as they hold on a site. */
export const dueWithinOf = ({ dueWithin = dueByDefault }: Pick<RaiseRules, 'dueWithin'>): DueWithin => dueWithin;

/** How much a question is wanted of a kind; what makes no sense there is never asked. */
export function demandOf({ asked }: Pick<RaiseRules, 'asked'>, kind: ReportKind, question: ReportQuestion): Demand {
  return questionsOf[kind].includes(question) ? (asked[kind][question] ?? 'not') : 'not';
}

/** What is missing of what must be said; null where nothing is. */
export function firstMissing(
  rules: Pick<RaiseRules, 'asked'>,
  kind: ReportKind,
  isGiven: (question: ReportQuestion) => boolean,
): ReportQuestion | null {
  return questionsOf[kind].find((question) => demandOf(rules, kind, question) === 'must' && !isGiven(question)) ?? null;
}

/** What is raised, as far as it decides whether it may start. */
export interface ToStart {
  readonly kind: WorkKind;
  readonly urgency: Urgency;
  readonly estimateMinutes: number;
  /** What its kit costs, in the smallest currency unit. */
  readonly kitMinor: number;
}

/** What raised work is expected to cost, in the smallest unit of the site's currency. */
function expectedMinor({ minorPerHour }: GoAheadRule, { estimateMinutes, kitMinor }: ToStart): number {
  return Math.round((estimateMinutes / 60) * minorPerHour) + kitMinor;
}

/** Whether raised work waits for a lead: by its kind or by what it is expected to cost. What is urgent now never waits. */
export function waitsForLead(rule: GoAheadRule, work: ToStart): boolean {
  if (work.urgency === 'now') return false;
  return rule.kinds.includes(work.kind) || (rule.aboveMinor !== null && expectedMinor(rule, work) > rule.aboveMinor);
}
