import type { AssetId, PlaceId } from '../../../kernel/ids';
import { TextsToCompare, wantedSoFar } from '../../../kernel/text/likeness';
import type { Asset, Place } from '../../plant/plant/plant';
import { idsWithin } from '../../plant/plant/within';
import type { WorkOrder } from '../../orders/work/work-order';
import { isOpenReport, type Report } from './report';

/** Something that is known already: open work, or a report that nobody has taken up yet. */
export type Known =
  { readonly is: 'work'; readonly work: WorkOrder } | { readonly is: 'report'; readonly report: Report };

/** Where somebody is about to report something; both null while they have not said. */
export interface ThatPlace {
  readonly assetId: AssetId | null;
  readonly placeId: PlaceId | null;
}

/** What is on the machine itself is shown before a word is typed; what is near needs some of the words, elsewhere most of them. */
const LEAST_LIKENESS = { here: 0.2, near: 0.4, elsewhere: 0.6 } as const;
/** What being on the very machine is worth beside the words. */
const HERE = 0.5;
const NEAR = 0.2;

type Closeness = keyof typeof LEAST_LIKENESS;

/**
 * What is known already, found again with every letter: its words are taken apart once.
 *
 * Open corrective work and open reports; preventive work is not what somebody reports.
 */
export class WhatIsKnown {
  readonly #known: readonly Known[];
  readonly #texts: TextsToCompare;
  readonly #assets: readonly Asset[];
  readonly #places: readonly Place[];

  constructor(
    works: readonly WorkOrder[],
    reports: readonly Report[],
    { assets, places }: { readonly assets: readonly Asset[]; readonly places: readonly Place[] },
  ) {
    const ofWork = works.filter(isReportable).map((work): Known => ({ is: 'work', work }));
    // A report with work on it is known by that work.
    const alone = reports.filter((report) => isOpenReport(report) && report.workOrderId === null);
    this.#known = [...ofWork, ...alone.map((report): Known => ({ is: 'report', report }))];
    this.#texts = new TextsToCompare(this.#known.map(wordsOf));
    this.#assets = assets;
    this.#places = places;
  }

  /**
   * The likeliest first, at most so many; without words what is open on the machine itself, the newest first. Then the reports of the
   * machine itself that still wait and are not among them, at most so many, the newest first: two people seldom say the same thing in
   * the same words.
   */
  find(there: ThatPlace, words: string, most: number): Known[] {
    const closenessOf = this.#closenessTo(there);
    const scores = this.#texts.likenessTo(wantedSoFar(words));
    const isTyped = words.trim() !== '';
    const found = this.#known.flatMap((known, index) => {
      const closeness = closenessOf(known);
      const score = scores[index] ?? 0;
      const isShown = isTyped ? score >= LEAST_LIKENESS[closeness] : closeness === 'here';
      if (!isShown) return [];
      const bonus = closeness === 'here' ? HERE : closeness === 'near' ? NEAR : 0;
      return [{ known, score: score + bonus, at: madeAt(known) }];
    });
    found.sort((a, b) => b.score - a.score || (a.at < b.at ? 1 : -1));
    const likely = found.slice(0, most).map(({ known }) => known);
    const waiting = this.#known.filter(
      (known) => known.is === 'report' && closenessOf(known) === 'here' && !likely.includes(known),
    );
    waiting.sort((a, b) => (madeAt(a) < madeAt(b) ? 1 : -1));
    return [...likely, ...waiting.slice(0, most)];
  }

  #closenessTo({ assetId, placeId }: ThatPlace): (known: Known) => Closeness {
    const asset = this.#assets.find(({ id }) => id === assetId);
    const family = assetId === null ? new Set<string>() : idsWithin(assetId, this.#assets);
    const place = asset?.placeId ?? placeId;
    const within = place === null ? new Set<string>() : idsWithin(place, this.#places);
    return (known) => {
      const at = known.is === 'work' ? known.work : known.report;
      if (assetId !== null && at.assetId === assetId) return 'here';
      if (assetId === null && placeId !== null && at.placeId === placeId) return 'here';
      const isFamily = at.assetId !== null && (family.has(at.assetId) || at.assetId === asset?.parentId);
      return isFamily || within.has(at.placeId) ? 'near' : 'elsewhere';
    };
  }
}

const isReportable = ({ kind, state }: WorkOrder): boolean =>
  kind === 'corrective' && (state === 'ready' || state === 'underway' || state === 'held');

const wordsOf = (known: Known): string =>
  known.is === 'work' ? `${known.work.title} ${known.work.reason}` : known.report.words;

const madeAt = (known: Known): string => (known.is === 'work' ? known.work.createdAt : known.report.at);
