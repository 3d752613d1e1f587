import type { AssetId, FileId, IncidentId, PersonId, PlaceId, SiteId } from '../../../kernel/ids';
import type { Signature } from '../../../kernel/signature/signature';
import type { Instant } from '../../../kernel/time/instant';
import type { IncidentKind } from '../../orders/raise-rules/raise-rules';
import type { ReportPhoto, ReportVoice } from '../reports/report';

/** What leads to incidents in maintenance and operation (common practice), chosen from by whoever reports one. */
export const incidentCauses = [
  'slippery',
  'poorLight',
  'weather',
  'guardMissing',
  'machineDefect',
  'toolDefect',
  'energyNotIsolated',
  'protectionMissing',
  'noInstruction',
  'haste',
  'untidy',
  'otherPeople',
  'notKnown',
] as const;
export type IncidentCause = (typeof incidentCauses)[number];

/** What was added to an incident: by whoever was there, or by a lead who follows it up. */
export interface IncidentNote {
  readonly id: string;
  readonly at: Instant;
  readonly by: PersonId;
  /** Empty where it was only spoken. */
  readonly words: string;
  readonly photo?: ReportPhoto;
  readonly voice?: ReportVoice;
}

/** Somebody was hurt, or nearly; something was damaged, or something was spilled or released. Only those whom it concerns see it. */
export interface Incident {
  readonly id: IncidentId;
  /** `P-311`, of the same numbers as reports. */
  readonly number: string;
  readonly siteId: SiteId;
  readonly kind: IncidentKind;
  readonly assetId: AssetId | null;
  readonly placeId: PlaceId;
  readonly words: string;
  /** When it happened. */
  readonly happenedAt: Instant;
  readonly causes: readonly IncidentCause[];
  /** Who was there: those with an account, and others by name. */
  readonly presentIds: readonly PersonId[];
  readonly presentOthers: string;
  readonly doneAtOnce: string;
  readonly photo: ReportPhoto | null;
  readonly signature: Signature | null;
  readonly by: PersonId;
  readonly at: Instant;
  /** Whoever reported it, was there or leads the site. */
  readonly readerIds: readonly PersonId[];
  readonly notes: readonly IncidentNote[];
  /** When a lead closed it, with what was done; null while it is open. */
  readonly closed: { readonly at: Instant; readonly by: PersonId; readonly words: string } | null;
}

export const MOST_INCIDENT_NOTES = 200;

/** Its pictures, the first one first. */
export function picturesOf({ photo, notes }: Pick<Incident, 'photo' | 'notes'>): ReportPhoto[] {
  const later = notes.flatMap((note) => note.photo ?? []);
  return photo === null ? later : [photo, ...later];
}

export function filesOfIncident(incident: Pick<Incident, 'photo' | 'notes'>): FileId[] {
  const voices = incident.notes.flatMap(({ voice }) => voice ?? []);
  return [...picturesOf(incident), ...voices].map(({ fileId }) => fileId);
}
