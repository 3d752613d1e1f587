import { FILE_PIECE_BYTES } from '@oilcan/core/sync';
import { OilcanError, toMillis, type FileId, type Instant } from '@oilcan/core/kernel';
import { refuse, type Refusal } from '@oilcan/core/operations';
import { isAboutTheRequest, isPassing } from './contact';
import { refusalOf, StorageFailed, type KeptFile, type LocalDatabase } from '../database/local-database';
import type { FileAnswer, ServerLink } from '../server/server-link';

/** Bytes of files that stay on the phone after they were sent, to be looked at without signal. */
const FILES_BUDGET_BYTES = 64 * 1024 * 1024;
/** A file that the server failed at so often is put aside for its person. */
const TRIES = 5;
const YOUNG_MILLISECONDS = 24 * 3_600_000;

/** What became of a file: it arrived, or its operations are put aside with a reason. */
export interface SentFile {
  readonly id: FileId;
  readonly refusal: Refusal | null;
}

/** Files on their way to the server, each sent once, in pieces that go on where they stopped. */
export class FileQueue {
  readonly #database: LocalDatabase;
  readonly #server: ServerLink;
  #files = new Map<FileId, KeptFile>();
  readonly #failures = new Map<FileId, number>();

  constructor(database: LocalDatabase, server: ServerLink) {
    this.#database = database;
    this.#server = server;
  }

  async load(): Promise<void> {
    this.#files = new Map((await this.#database.files()).map((file) => [file.id, file]));
  }

  /** Whether a file is here, kept by this window or another. */
  async has(id: FileId | null): Promise<boolean> {
    if (id === null) return false;
    if (!this.#files.has(id)) await this.load();
    return this.#files.has(id);
  }

  isUnsent(id: FileId): boolean {
    return this.#files.get(id)?.isSent === false;
  }

  /** Keeps a file; gives why it could not. */
  async keep(file: KeptFile, content: Uint8Array<ArrayBuffer>): Promise<Refusal | null> {
    try {
      await this.#database.putFile(file, content);
    } catch (error) {
      if (error instanceof StorageFailed) return refusalOf(error);
      throw error;
    }
    if (!this.#files.has(file.id)) this.#files.set(file.id, file);
    return null;
  }

  /** What a file holds; undefined when it is not here. */
  read(id: FileId): Promise<Uint8Array<ArrayBuffer> | undefined> {
    return this.#database.readFile(id);
  }

  /** The server says that it does not have a file that was sent: it was lost there, or never arrived. */
  async sendAgain(id: FileId | null): Promise<void> {
    const file = id === null ? undefined : this.#files.get(id);
    const content = file === undefined ? undefined : await this.#database.readFile(file.id);
    if (file === undefined || content === undefined) return;
    // Never taken away meanwhile: another window may be reading it.
    await this.#database.noteSent(file.id, false);
    this.#files.set(file.id, { ...file, isSent: false });
  }

  /**
   * Sends the first of these files that is unsent; null when there is none. A file that the server fails at is noted
   * in `passedOver`, so that it does not hold up the others. Rejects when there is no signal.
   */
  async sendNext(wanted: readonly FileId[], passedOver: Set<FileId>): Promise<SentFile | null> {
    for (const id of new Set(wanted)) {
      if (!this.isUnsent(id) || passedOver.has(id)) continue;
      try {
        await this.#send(id);
        this.#failures.delete(id);
        return { id, refusal: null };
      } catch (error) {
        if (!(error instanceof OilcanError) || isPassing(error)) throw error;
        const failures = (this.#failures.get(id) ?? 0) + 1;
        this.#failures.set(id, failures);
        if (failures >= TRIES || (isAboutTheRequest(error) && error.code !== 'file_damaged')) {
          this.#failures.delete(id);
          return { id, refusal: refuse(error.code, error.values) };
        }
        passedOver.add(id);
      }
    }
    return null;
  }

  async #send(id: FileId): Promise<void> {
    const content = await this.#database.readFile(id);
    if (content === undefined) throw new OilcanError('file_missing');
    let answer = await this.#server.received(id);
    while (!answer.isWhole) answer = await this.#sendPiece(id, answer, content);
    await this.#database.noteSent(id, true);
    const file = this.#files.get(id);
    if (file !== undefined) this.#files.set(id, { ...file, isSent: true });
  }

  async #sendPiece(id: FileId, { received }: FileAnswer, content: Uint8Array<ArrayBuffer>): Promise<FileAnswer> {
    // All of it is there but the server has not noted it whole: the last byte once more makes it look again.
    const from = Math.min(received, content.length - 1);
    try {
      return await this.#server.sendPiece(id, from, content.length, content.slice(from, from + FILE_PIECE_BYTES));
    } catch (error) {
      if (!(error instanceof OilcanError) || error.code !== 'file_piece_out_of_place') throw error;
      const where = Number(error.values['received']);
      if (where === received) throw new OilcanError('file_damaged');
      return { received: where, isWhole: false };
    }
  }

  /** Removes files that nothing names any more, and the oldest sent ones beyond the budget. */
  async tidy(named: readonly FileId[], now: Instant): Promise<void> {
    const wanted = new Set(named);
    const newestFirst = [...this.#files.values()].sort((a, b) => (a.keptAt < b.keptAt ? 1 : -1));
    let bytes = 0;
    for (const file of newestFirst) {
      bytes += file.bytes;
      if (wanted.has(file.id)) continue;
      const isLeftOver = !file.isSent && toMillis(now) - toMillis(file.keptAt) > YOUNG_MILLISECONDS;
      if (!isLeftOver && !(file.isSent && bytes > FILES_BUDGET_BYTES)) continue;
      await this.#database.removeFile(file.id);
      this.#files.delete(file.id);
    }
  }
}
