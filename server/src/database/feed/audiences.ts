import type { Row, TableName } from '@oilcan/core/records';
import { audienceOf, tableNamed, visibilityKeyOf } from '@oilcan/core/registry';
import { assigneesOf, type WorkOrder } from '@oilcan/core/orders/work';

/**
 * Whom a change concerns:
 *
 * - `everybody`, `site:S`, `person:P`: those who see the row,
 * - `whole:S`: those who carry everything that is recorded on work of a site,
 * - `given:S:A`: those who carry it of work of that site which is given to a person or a crew.
 */
export type Audience = string;

const EVERYBODY: Audience = 'everybody';
const ofSite = (id: string): Audience => `site:${id}`;
const ofPerson = (id: string): Audience => `person:${id}`;
const ofAllWorkAt = (siteId: string): Audience => `whole:${siteId}`;
const ofWorkGivenTo = (assignee: string, siteId: string): Audience => `given:${siteId}:${assignee}`;

/** What decides which audiences a person belongs to. */
export interface Reader {
  readonly id: string;
  readonly siteIds: readonly string[];
  /** Whose work they carry with all that is recorded on it: all, or that of these people and crews. */
  readonly wholeFor: 'all' | readonly string[];
}

/** The audiences to which a person belongs. Who has no site has nothing to do here, and belongs to none. */
export function audiencesOf({ id, siteIds, wholeFor }: Reader): Audience[] {
  if (siteIds.length === 0) return [];
  return [EVERYBODY, ofPerson(id), ...siteIds.map(ofSite), ...audiencesOfGiven(wholeFor, siteIds)];
}

/** The audiences that carry work whole which is given to these. */
export function audiencesOfGiven(wholeFor: Reader['wholeFor'], siteIds: readonly string[]): Audience[] {
  return siteIds.flatMap((site) =>
    wholeFor === 'all' ? [ofAllWorkAt(site)] : wholeFor.map((assignee) => ofWorkGivenTo(assignee, site)),
  );
}

/** Those who carry what is recorded on a work order. */
export function audiencesOfWork(work: WorkOrder): Audience[] {
  const given = [...new Set(assigneesOf(work))].map((assignee) => ofWorkGivenTo(assignee, work.siteId));
  return [ofAllWorkAt(work.siteId), ...given];
}

/** Those whose phones carry a row because they may see it. Rows that are carried with their work have those of the work instead. */
export function audiencesOfRow(table: TableName, row: Row): Audience[] {
  const { replicated, seenBy } = tableNamed(table);
  if (replicated === 'never' || replicated === 'withWork' || seenBy === 'nobody') return [];
  const key = visibilityKeyOf(table);
  if (key === null) return [EVERYBODY];
  const named = key.column === 'site' || key.column === 'sites' ? ofSite : ofPerson;
  return [...new Set(audienceOf(table, row))].map(named);
}
