import type { Change } from '@oilcan/core/records';
import { TABLES_AFTER_SINCE, type PullAnswer } from '@oilcan/core/sync';
import type { LocalStore } from '../database/local-store';
import type { Overlay } from './overlay';
import type { PullQuestion } from '../server/server-link';

/** This piece of code, which the first screen does not need. */
export interface LaterTablesCode {
  readonly fetchLaterTables: (tables: LaterTables) => Promise<void>;
}

interface LaterTables {
  readonly store: LocalStore;
  readonly overlay: Overlay;
  /** The version of the protocol on which phone and server agreed. */
  readonly spoken: number;
  readonly ask: (question: PullQuestion) => Promise<PullAnswer>;
  readonly replay: (arrived: readonly Change[]) => Promise<void>;
}

/**
 * Fetches what came after the version at which this phone read until now, and nothing else anew. Only when nothing that was sent is still to
 * come back: rows that are fetched here may be newer than the others.
 */
export async function fetchLaterTables({ store, overlay, spoken, ask, replay }: LaterTables): Promise<void> {
  const { person, scope, version, revision } = store.syncState;
  const isAwaited = (): boolean => store.kept.some(({ where }) => where === 'sent');
  if (spoken < TABLES_AFTER_SINCE || isAwaited()) return;
  const arrived: Change[] = [];
  for (let since = 0, hasMore = true; hasMore;) {
    const answer = await ask({ since, isFilling: false, device: null, tablesAfter: version });
    if (answer.scope !== scope) return;
    arrived.push(...answer.changes);
    ({ revision: since, hasMore } = answer);
  }
  await store.runExclusively(async () => {
    const standing = store.syncState;
    if (store.person?.id !== person?.id || standing.scope !== scope || standing.revision !== revision) return;
    if (isAwaited()) return;
    const changes = overlay.withTheirRows(arrived, store.person);
    await store.write({ changes, syncState: { ...standing, version: spoken } });
    await replay(changes);
  });
}
