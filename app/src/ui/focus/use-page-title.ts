import { useEffect, useId } from 'react';

/** The views that are shown just now, in the order in which they came; side by side, the last one names the page. */
const shown = new Map<string, string>();

/** Names the page in the browser's tab, its history and its bookmarks after what is open: `W-2563 Seal weeping · Oilcan`. */
export function usePageTitle(title: string): void {
  const id = useId();
  useEffect(() => {
    shown.set(id, title);
    show();
  }, [id, title]);
  useEffect(
    () => () => {
      shown.delete(id);
      show();
    },
    [id],
  );
}

function show(): void {
  const title = [...shown.values()].filter((each) => each !== '').at(-1);
  document.title = title === undefined ? 'Oilcan' : `${title} · Oilcan`;
}
