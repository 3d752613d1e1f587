import type { AssetId, PlaceId, SiteId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { Hazard, IsolationPoint } from '../work/work-order';

/** A hazard that waits for everybody who works there, and what is done about it. */
export interface RegisteredHazard extends Pick<Hazard, 'hazard' | 'control'> {
  readonly id: string;
  /** When it came to be known; absent where it always was. */
  readonly since?: Instant;
}

/**
 * What the site's hazard register (ISO 45001:2018, 6.1.2: identified hazards) has of a machine, of a place or of a class of machines:
 * its hazards, and where energy is kept away while people work, in the order in which it is locked.
 */
export interface HazardRegister {
  /** By what it is about: see `registerIdOf`. */
  readonly id: string;
  readonly siteId: SiteId;
  readonly hazards: readonly RegisteredHazard[];
  readonly isolation: readonly IsolationPoint[];
}

/** Under which id the register has what it says of a machine, of a place, or of a class of machines on a site. */
export const registerIdOf = {
  asset: (id: AssetId): string => `asset@${id}`,
  place: (id: PlaceId): string => `place@${id}`,
  equipmentClass: (siteId: SiteId, equipmentClass: string): string => `class@${siteId}@${equipmentClass}`,
};
