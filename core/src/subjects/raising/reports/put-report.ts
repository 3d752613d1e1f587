import type { AssetId, PersonId, PlaceId, ReportId, SiteId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { refuse, type Result } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { standingAsset } from '../../plant/plant/merged';
import { firstMissing, rulesOf, type ReportQuestion } from '../../orders/raise-rules/raise-rules';
import { newReport, urgencyOfReport, type Guest, type Report } from './report';

/** What somebody reports, before it is known where that stands. */
export interface NewReport extends Pick<Report, 'words' | 'condition' | 'danger' | 'since' | 'photo'> {
  readonly id: ReportId;
  readonly number: string;
  readonly assetId: AssetId | null;
  readonly placeId: PlaceId | null;
  readonly by: PersonId | null;
  readonly guest: Guest | null;
  readonly at: Instant;
}

/** Where a report is: a machine, or the one that it was merged into, with its place; else a place. */
export interface Where {
  readonly siteId: SiteId;
  readonly assetId: AssetId | null;
  readonly placeId: PlaceId;
  readonly criticality: number | null;
}

/** Where a report is, if that is on one of the sites. */
export async function findWhere(
  records: Records,
  { assetId, placeId }: Pick<NewReport, 'assetId' | 'placeId'>,
  siteIds: readonly SiteId[],
): Promise<Result<Where>> {
  if (assetId !== null) {
    const asset = await standingAsset(records, assetId);
    if (asset === undefined || !siteIds.includes(asset.siteId))
      return refuse('not_found', { what: 'machine' }, 'assetId');
    const { id, siteId, criticality } = asset;
    return { ok: true, value: { siteId, assetId: id, placeId: asset.placeId, criticality } };
  }
  const place = placeId === null ? undefined : await records.get('places', placeId);
  if (place === undefined || !siteIds.includes(place.siteId)) return refuse('not_found', { what: 'place' }, 'placeId');
  return { ok: true, value: { siteId: place.siteId, assetId: null, placeId: place.id, criticality: null } };
}

/** Puts a report, if it says all that its site wants to be said. */
export async function putReport(records: Records, said: NewReport, where: Where): Promise<Result<Report>> {
  const { siteId, assetId, placeId, criticality } = where;
  const { words, condition, danger, since, photo, guest, by } = said;
  const given: Partial<Record<ReportQuestion, boolean>> = {
    condition: condition !== null || assetId === null,
    danger: danger !== null,
    since: since !== null,
    photo: photo !== null,
    // Whoever has an account is known.
    reach: by !== null || (guest !== null && guest.reach.trim() !== ''),
  };
  const rules = rulesOf(siteId, await records.get('raiseRules', siteId));
  const missing = firstMissing(rules, 'problem', (question) => given[question] === true);
  if (missing !== null) return refuse('report_lacks', { what: questionWords[missing] }, missing);
  const report = newReport({
    id: said.id,
    number: said.number,
    siteId,
    assetId,
    placeId,
    words: words.trim(),
    condition,
    danger,
    since,
    urgency: urgencyOfReport({ condition, danger }, criticality),
    photo,
    by,
    guest,
    at: said.at,
  });
  await records.put('reports', report);
  return { ok: true, value: report };
}

/** What each question asks for, as a noun phrase. */
export const questionWords: Readonly<Record<ReportQuestion, string>> = {
  condition: 'whether the machine runs',
  danger: 'whether somebody is in danger',
  since: 'since when it is so',
  photo: 'a photo',
  reach: 'how you can be reached',
  causes: 'what led to it',
  present: 'who was there',
  doneAtOnce: 'what was done at once',
  signature: 'a signature',
};
