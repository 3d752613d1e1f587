import { createContext, useContext } from 'react';

/** Whether a screen stands beside another one that is what the page is about. */
export const IsBesideMain = createContext(false);

/** Whether a screen stands beside a list whose bar is the banner of the page. */
export const HasBannerBeside = createContext(false);

/** What the content of a screen is to a screen reader, which goes by landmarks: a page has one `main`. */
export function useLandmark(name: string): { readonly role: 'main' | 'region'; readonly 'aria-label': string } {
  return { role: useContext(IsBesideMain) ? 'region' : 'main', 'aria-label': name };
}
