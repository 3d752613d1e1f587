import type { AssetId, ProcedureId, SiteId } from '../../../kernel/ids';
import { likeness } from '../../../kernel/text/likeness';
import type { NewStep } from '../steps/new-step';
import type { Demands } from '../../orders/work/demands';
import type { Hazard, KitPart, KitTool } from '../../orders/work/work-order';

/** Reusable steps. */
export interface Procedure {
  readonly id: ProcedureId;
  readonly siteId: SiteId;
  readonly title: string;
  /** The classes of equipment that it is for; none where it is for any. */
  readonly equipmentClasses: readonly string[];
  readonly tradeId: string;
  readonly steps: readonly NewStep[];
  /** What its work takes, and what is to be known before; absent for nothing. */
  readonly kit?: readonly KitPart[];
  readonly tools?: readonly KitTool[];
  readonly hazards?: readonly Pick<Hazard, 'hazard' | 'control'>[];
  /** What finishing its work waits for beside what the kind of work does; absent for nothing more. */
  readonly demands?: Partial<Demands>;
  /** The machine whose own it is, since it names its measuring points; absent where it fits others. */
  readonly assetId?: AssetId;
}

/** What procedures are compared with: a job and its machine, in words. */
export interface Wanted {
  readonly words: string;
  readonly equipmentClass: string | null;
  readonly assetId: AssetId | null;
}

/** What a procedure for the very class of the machine is worth beside its words: as much as half of them. */
const OF_ITS_CLASS = 0.5;

/** Procedures that fit a machine, those most like what is wanted first: by the words that they share, and whether they are for such a machine. */
export function byLikeness(procedures: readonly Procedure[], wanted: Wanted): Procedure[] {
  const fitting = procedures.filter(({ assetId = wanted.assetId }) => assetId === wanted.assetId);
  const texts = fitting.map(({ title, steps }) => [title, ...steps.map(({ text }) => text)].join(' '));
  const scores = likeness(wanted.words, texts);
  const isOfClass = ({ equipmentClasses }: Procedure): boolean =>
    wanted.equipmentClass !== null && equipmentClasses.includes(wanted.equipmentClass);
  return fitting
    .map((procedure, index) => ({
      procedure,
      score: (scores[index] ?? 0) + (isOfClass(procedure) ? OF_ITS_CLASS : 0),
    }))
    .sort((a, b) => b.score - a.score || (a.procedure.title < b.procedure.title ? -1 : 1))
    .map(({ procedure }) => procedure);
}

/** A procedure whose title has so much of what somebody wants to do is one for it. */
const FITS = 0.4;

/** The procedure for what somebody wants to do; null where none fits. */
export function fittingProcedure(procedures: readonly Procedure[], wanted: Wanted): Procedure | null {
  const [likeliest] = byLikeness(procedures, wanted);
  if (likeliest === undefined) return null;
  const titles = procedures.map(({ title }) => title);
  const score = likeness(wanted.words, titles)[procedures.indexOf(likeliest)] ?? 0;
  return score >= FITS ? likeliest : null;
}
