import type { Change } from '@oilcan/core/records';
import { PROTOCOL, SEEN_REVISION_SINCE, VERSION_IN_SCOPES, type PullAnswer } from '@oilcan/core/sync';
import { isKnownAt } from '@oilcan/core/registry';
import { dequal } from 'dequal';
import type { LaterTablesCode } from './later-tables';
import type { ReservedNumbers } from './reserved-numbers';
import type { SyncState } from '../database/local-database';
import type { LocalStore } from '../database/local-store';
import type { Overlay } from './overlay';
import type { PullQuestion, ServerLink } from '../server/server-link';

interface ReceivingParts {
  readonly store: LocalStore;
  readonly overlay: Overlay;
  readonly server: Pick<ServerLink, 'pull'>;
  readonly numbers: ReservedNumbers;
  /** Under which name the server knows this phone. */
  readonly device: () => string;
  /** Asks the server, and measures the device's clock by its answer. */
  readonly asked: (ask: () => Promise<PullAnswer>) => Promise<PullAnswer>;
  /** What fetches what came later; rejects as long as the phone has not got it. */
  readonly laterTables: () => Promise<LaterTablesCode>;
  readonly replay: (arrived: readonly Change[]) => Promise<void>;
}

/** How rows come to the phone: page by page, each kept with how far it goes. */
export interface Receiving {
  /** Fetches one page. Gives whether there is another. */
  readonly pullOnce: () => Promise<boolean>;
  /** Fetches what came with versions of the protocol that this phone or the server did not speak until now. */
  readonly fetchLaterTables: () => Promise<void>;
}

export function receiving(parts: ReceivingParts): Receiving {
  const { store, overlay, numbers: lent } = parts;
  /** The version of the protocol on which phone and server last agreed; 0 before they did. */
  let spoken = 0;
  const ask = (question: PullQuestion): Promise<PullAnswer> => parts.asked(() => parts.server.pull(question));

  const pullOnce = async (): Promise<boolean> => {
    const { revision, scope, person, device } = store.syncState;
    let { isFilling } = store.syncState;
    // Names this device where it needs numbers.
    const wantsNumbers = (await lent.areFew()) ? parts.device() : null;
    let answer = await ask({ since: revision, isFilling, device: wantsNumbers, tablesAfter: null });
    const isOtherScope = scope !== '' && answer.scope !== scope;
    if (isOtherScope) {
      isFilling = true;
      answer = await ask({ since: 0, isFilling, device: wantsNumbers, tablesAfter: null });
    }
    // Servers that do not say it are of before the one from which on it matters.
    spoken = answer.version ?? VERSION_IN_SCOPES;
    return store.runExclusively(async () => {
      const standing = store.syncState;
      if (standing.revision !== revision || store.person?.id !== person?.id) return store.person !== null;
      if (store.person === null) return false;
      const syncState: SyncState = {
        ...standing,
        revision: answer.revision,
        isFilling: isFilling && answer.hasMore,
        scope: answer.scope,
        version: isFilling && (isOtherScope || revision === 0) ? spoken : Math.min(standing.version, spoken),
        ...(answer.hasMore ? {} : toldIn(answer)),
      };
      // Operations whose rows have come from the server need not be applied on top any more.
      const arrived = store.kept.filter((each) => each.where === 'sent' && each.revision <= answer.revision);
      const isForThisName = standing.device === device;
      const numbers = (isForThisName ? answer.numbers : undefined) ?? standing.numbers;
      const isNews = answer.changes.length > 0 || arrived.length > 0 || isFilling;
      const isLent = !dequal(numbers, standing.numbers);
      const isElsewhere =
        answer.revision !== revision || answer.scope !== scope || syncState.version !== standing.version;
      if (!isNews && !isLent && !isElsewhere) {
        // Nothing new is not worth a write; that it was heard is.
        store.note({ ...syncState, numbers });
        return false;
      }
      // Of what a newer server adds, this phone knows nothing until it is brought up to date.
      const known = answer.changes.filter((change) => isKnownAt(change, PROTOCOL.newest));
      const changes = overlay.withTheirRows(known, store.person);
      const forget = arrived.map(({ operation }) => operation.id);
      // What was taken by operations that are forgotten now is not free again.
      const takenNow = await lent.takenBy(arrived);
      const left = Object.fromEntries(
        Object.entries(numbers).map(([series, of]) => [series, of.filter((number) => !takenNow.has(number))]),
      );
      await store.write({ changes, isWhole: isOtherScope, forget, syncState: { ...syncState, numbers: left } });
      if (isOtherScope) overlay.begin([]);
      await parts.replay(changes);
      return answer.hasMore;
    });
  };

  const fetchLaterTables = async (): Promise<void> => {
    if (spoken <= store.syncState.version) return;
    // Where its code is not on this phone yet, the next time.
    const code = await parts.laterTables().catch(() => null);
    await code?.fetchLaterTables({ store, overlay, spoken, ask, replay: parts.replay });
  };

  return { pullOnce, fetchLaterTables };
}

/** What is known once all that an answer tells has been read. */
function toldIn({ now, revision, version = 0 }: PullAnswer): Pick<SyncState, 'knownUntil' | 'seenRevision'> {
  return { knownUntil: now, seenRevision: version >= SEEN_REVISION_SINCE ? revision : null };
}
