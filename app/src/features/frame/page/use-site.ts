import type { SiteId } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import { usePhone } from '../../../data/store/store';
import { keptChoice } from '../../../ui/state/kept-choice';

/** The site that somebody looks at; null for all sites of the person. */
export const useSiteChoice = keptChoice<string | null>('oilcan.site', null, {
  read: (kept) => (typeof kept === 'string' ? kept : null),
  isPersonal: true,
});

/** The chosen site, if the person has it still; null for all. */
function siteOf(person: Pick<Person, 'siteIds'> | null, chosen: string | null): SiteId | null {
  return person?.siteIds.find((id) => id === chosen) ?? null;
}

export function useSite(): SiteId | null {
  const person = usePhone((state) => state.person);
  const chosen = useSiteChoice((state) => state.value);
  return siteOf(person, chosen);
}

/** Rows of the chosen site, or all of them. */
export function onSite<Row extends { readonly siteId: SiteId }>(
  rows: readonly Row[],
  site: SiteId | null,
): readonly Row[] {
  return site === null ? rows : rows.filter(({ siteId }) => siteId === site);
}
