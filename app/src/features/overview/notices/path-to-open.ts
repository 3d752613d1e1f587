/** Where a press on a notification leads, as it goes from the page to the service worker and back. */
export interface PathToOpen {
  readonly open: `/shift/${string}` | `/reports/${string}` | '/stores/asked';
}

/** Whether something that came as a message is one of ours. */
export function isPathToOpen(given: unknown): given is PathToOpen {
  if (typeof given !== 'object' || given === null || !('open' in given)) return false;
  if (given.open === '/stores/asked') return true;
  return typeof given.open === 'string' && /^\/(shift|reports|reports\/incident)\/[A-Za-z0-9@._-]+$/.test(given.open);
}
