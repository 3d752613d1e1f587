/** A report that was made on this phone, with its private link. */
export interface MyReport {
  readonly number: string;
  readonly follow: string;
}

const KEY = 'oilcan-my-reports';
const MOST = 20;

/** What was reported from this phone, the newest first; none where the browser keeps nothing. */
export function reportsHere(): readonly MyReport[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(kept) ? kept.filter(isReport) : [];
  } catch {
    return [];
  }
}

/** Only what leads to this server's own pages is shown as a link. */
function isReport(kept: unknown): kept is MyReport {
  const { number, follow } = (kept ?? {}) as Partial<Record<keyof MyReport, unknown>>;
  return typeof number === 'string' && typeof follow === 'string' && follow.startsWith('/r/follow/');
}

export function noteReport(report: MyReport): void {
  try {
    const others = reportsHere().filter(({ follow }) => follow !== report.follow);
    localStorage.setItem(KEY, JSON.stringify([report, ...others].slice(0, MOST)));
  } catch {
    // A private window keeps nothing; the page has the link all the same.
  }
}
