import { create } from 'zustand';
import type { SiteId } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/people';
import { usePhone } from '../../data/store';

const KEY = 'oilcan.site';

interface SiteChoice {
  /** Null for all sites of the person. */
  readonly siteId: string | null;
  readonly choose: (siteId: string | null) => void;
}

function kept(): string | null {
  try {
    return localStorage.getItem(KEY);
  } catch {
    return null;
  }
}

/** The site that somebody looks at; survives a reload. */
export const useSiteChoice = create<SiteChoice>((set) => ({
  siteId: kept(),
  choose: (siteId) => {
    try {
      if (siteId === null) localStorage.removeItem(KEY);
      else localStorage.setItem(KEY, siteId);
    } catch {
      // Then it lasts until the page is loaded again.
    }
    set({ siteId });
  },
}));

/** The chosen site, if the person has it still; null for all. */
function siteOf(person: Pick<Person, 'siteIds'> | null, chosen: string | null): SiteId | null {
  return person?.siteIds.find((id) => id === chosen) ?? null;
}

export function useSite(): SiteId | null {
  const person = usePhone((state) => state.person);
  const chosen = useSiteChoice((state) => state.siteId);
  return siteOf(person, chosen);
}

/** Rows of the chosen site, or all of them. */
export function onSite<Row extends { readonly siteId: SiteId }>(
  rows: readonly Row[],
  site: SiteId | null,
): readonly Row[] {
  return site === null ? rows : rows.filter(({ siteId }) => siteId === site);
}
