import type { Change } from '@oilcan/core/records';
import { SEEN_REVISION_SINCE, VERSION_IN_SCOPES, type PullAnswer } from '@oilcan/core/sync';
import { dequal } from 'dequal';
import { knownHere } from './known-here';
import type { LaterTablesCode } from './later-tables';
import type { LentNumbers } from './lent-numbers';
import type { SyncState } from './local-database';
import type { LocalStore } from './local-store';
import type { Overlay } from './overlay';
import type { PullQuestion, ServerLink } from './server-link';

interface ReceivingParts {
  readonly store: LocalStore;
  readonly overlay: Overlay;
  readonly server: Pick<ServerLink, 'pull'>;
  readonly numbers: LentNumbers;
  /** Under which name the server knows this phone. */
  readonly device: () => string;
  /** Asks the server, and measures the device's clock by its answer. */
  readonly asked: (ask: () => Promise<PullAnswer>) => Promise<PullAnswer>;
  /** What fetches what came later; rejects as long as the phone has not got it. */
  readonly laterTables: () => Promise<LaterTablesCode>;
  readonly replay: (arrived: readonly Change[]) => Promise<void>;
}

/** How rows come to the phone: page by page, each kept with how far it goes. */
export class Receiving {
  readonly #parts: ReceivingParts;
  /** The version of the protocol on which phone and server last agreed; 0 before they did. */
  #spoken = 0;

  constructor(parts: ReceivingParts) {
    this.#parts = parts;
  }

  /** Fetches one page. Returns whether there is another. */
  async pullOnce(): Promise<boolean> {
    const { store, overlay, numbers: lent } = this.#parts;
    const { revision, scope, person, device } = store.syncState;
    let { isFilling } = store.syncState;
    // Names this device where it needs numbers.
    const wantsNumbers = (await lent.areFew()) ? this.#parts.device() : null;
    let answer = await this.#ask({ since: revision, isFilling, device: wantsNumbers, tablesAfter: null });
    const isOtherScope = scope !== '' && answer.scope !== scope;
    if (isOtherScope) {
      isFilling = true;
      answer = await this.#ask({ since: 0, isFilling, device: wantsNumbers, tablesAfter: null });
    }
    const spoken = versionOf(answer);
    this.#spoken = spoken;
    return store.inTurn(async () => {
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
      const changes = overlay.withTheirRows(knownHere(answer.changes), store.person);
      const forget = arrived.map(({ operation }) => operation.id);
      // What was taken by operations that are forgotten now is not free again.
      const takenNow = await lent.takenBy(arrived);
      const left = Object.fromEntries(
        Object.entries(numbers).map(([series, of]) => [series, of.filter((number) => !takenNow.has(number))]),
      );
      await store.write({ changes, isWhole: isOtherScope, forget, syncState: { ...syncState, numbers: left } });
      if (isOtherScope) overlay.begin([]);
      await this.#parts.replay(changes);
      return answer.hasMore;
    });
  }

  /** Fetches what came with versions of the protocol that this phone or the server did not speak until now. */
  async fetchLaterTables(): Promise<void> {
    if (this.#spoken <= this.#parts.store.syncState.version) return;
    // Where its code is not on this phone yet, the next time.
    const code = await this.#parts.laterTables().catch(() => null);
    await code?.fetchLaterTables({ ...this.#parts, spoken: this.#spoken, ask: (question) => this.#ask(question) });
  }

  #ask(question: PullQuestion): Promise<PullAnswer> {
    return this.#parts.asked(() => this.#parts.server.pull(question));
  }
}

/** The version that was spoken. Servers that do not say it are of before the one from which on it matters. */
const versionOf = ({ version = VERSION_IN_SCOPES }: PullAnswer): number => version;

/** What is known once all that an answer tells has been read. */
function toldIn({ now, revision, version = 0 }: PullAnswer): Pick<SyncState, 'knownUntil' | 'seenRevision'> {
  return { knownUntil: now, seenRevision: version >= SEEN_REVISION_SINCE ? revision : null };
}
