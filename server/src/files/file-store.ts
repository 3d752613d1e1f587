import { createHash, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream, type ReadStream } from 'node:fs';
import { mkdir, open, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { FILE_HEAD_BYTES, fileTypeOf, isFileId, type FileType } from '@oilcan/core/plant/files';
import { asId, OilcanError, type FileId } from '@oilcan/core/kernel';

/** A file that was begun and not gone on with for so long is removed. */
const ABANDONED_MILLISECONDS = 14 * 24 * 3_600_000;
/** The turn of whatever is held whole while it is changed. */
const CHANGING = 'changing';

/** Unfinished files of one person, and the bytes they hold together. */
const MOST_UNFINISHED = 40;
const MOST_UNFINISHED_BYTES = 256 * 1024 * 1024;

/** Where one piece of a file belongs. */
export interface Piece {
  readonly from: number;
  readonly total: number;
  readonly bytes: Uint8Array;
}

/** What came and waits aside. */
export interface Arrived {
  readonly part: string;
}

export interface WholeFile {
  readonly bytes: number;
  readonly mediaType: FileType;
}

/**
 * Files in a folder, each under its SHA-256; those that are still coming beside them, for each person apart: whoever brings a
 * file that is here already brings all of it, and so shows that they have it.
 */
export class FileStore {
  readonly #folder: string;
  /** What is being done to a file, so that pieces of one file follow one another. */
  readonly #turns = new Map<FileId | typeof CHANGING, Promise<unknown>>();

  constructor(folder: string) {
    this.#folder = folder;
  }

  /** How many bytes have arrived from a person of a file that is not whole yet. */
  async received(id: FileId, personId: string): Promise<number> {
    return (await sizeOf(this.#partPath(id, personId))) ?? 0;
  }

  /** Bytes of a whole file; undefined when it is not here, whatever is noted of it. */
  bytesOf(id: FileId): Promise<number | undefined> {
    return sizeOf(this.#path(id));
  }

  /**
   * Takes the next piece; gives the whole file once its last piece is there and it is what its name says.
   * Throws `file_piece_out_of_place`, `file_damaged`, `file_type_unsupported` or `too_many_unfinished_files`.
   */
  take(id: FileId, personId: string, piece: Piece): Promise<WholeFile | null> {
    return this.#inTurn(id, () => this.#take(id, personId, piece));
  }

  /** Keeps a whole file that is at hand. Throws `file_damaged` when it is not what its name says. */
  async put(id: FileId, content: Uint8Array): Promise<void> {
    if (createHash('sha256').update(content).digest('hex') !== id) throw new OilcanError('file_damaged');
    const path = this.#path(id);
    await mkdir(join(path, '..'), { recursive: true });
    await writeFile(this.#partPath(id, ''), content);
    await rename(this.#partPath(id, ''), path);
  }

  /** Writes what comes in one go aside, where nobody finds it by a name. Throws `file_too_large` beyond so many bytes; then nothing stays. */
  async setAside(source: Readable, limitBytes: number): Promise<Arrived> {
    await mkdir(this.#folder, { recursive: true });
    const part = join(this.#folder, `${randomUUID()}.part`);
    let bytes = 0;
    const counted = async function* (chunks: AsyncIterable<Buffer>): AsyncGenerator<Buffer> {
      for await (const chunk of chunks) {
        bytes += chunk.length;
        if (bytes > limitBytes) throw new OilcanError('file_too_large', { limitMegabytes: limitBytes / 1024 ** 2 });
        yield chunk;
      }
    };
    try {
      await pipeline(source, counted, createWriteStream(part));
      return { part };
    } catch (error) {
      await rm(part, { force: true });
      throw error;
    }
  }

  /**
   * Keeps what was written aside, under the name that its content has. Throws `file_type_unsupported` for what begins as none of these
   * types; then nothing is kept.
   *
   * @param changed what is kept in its place
   */
  async keepAside<T extends FileType>(
    { part }: Arrived,
    types: readonly T[],
    changed: (content: Uint8Array, type: T) => Uint8Array,
  ): Promise<{ readonly id: FileId; readonly bytes: number; readonly mediaType: T }> {
    const found = await this.#typeOf(part);
    const mediaType = types.find((type) => type === found);
    if (mediaType === undefined) throw new OilcanError('file_type_unsupported');
    // One after the other, so that no more than one of them is held whole.
    return this.#inTurn(CHANGING, async () => {
      const content = changed(await readFile(part), mediaType);
      const id = asId<FileId>(createHash('sha256').update(content).digest('hex'));
      await writeFile(part, content);
      await mkdir(join(this.#path(id), '..'), { recursive: true });
      await rename(part, this.#path(id));
      return { id, bytes: content.length, mediaType };
    });
  }

  /** Takes away what was written aside; nothing where it was kept. */
  async forgetAside({ part }: Arrived): Promise<void> {
    await rm(part, { force: true });
  }

  /** Whole files that were last written before a moment, by the clock of the machine. */
  async *writtenBefore(millis: number): AsyncGenerator<FileId> {
    for (const name of await readdir(this.#folder, { recursive: true }).catch(() => [])) {
      const id = basename(name);
      if (!isFileId(id)) continue;
      const found = await stat(join(this.#folder, name)).catch(() => undefined);
      if (found?.isFile() === true && found.mtimeMs < millis) yield id;
    }
  }

  read(id: FileId): ReadStream {
    return createReadStream(this.#path(id));
  }

  /** The first bytes of a file. */
  async beginning(id: FileId, bytes: number): Promise<Buffer> {
    const file = await open(this.#path(id));
    try {
      const { buffer, bytesRead } = await file.read(Buffer.alloc(bytes), 0, bytes, 0);
      return buffer.subarray(0, bytesRead);
    } finally {
      await file.close();
    }
  }

  /** Takes away a file that nothing names. */
  async remove(id: FileId): Promise<void> {
    await rm(this.#path(id), { force: true });
  }

  /** Removes what was begun long ago and never ended. */
  async tidy(nowMillis: number): Promise<void> {
    for (const path of await this.#unfinished()) {
      // It may be finished just now.
      const found = await stat(path).catch(() => undefined);
      if (found !== undefined && nowMillis - found.mtimeMs > ABANDONED_MILLISECONDS) await rm(path, { force: true });
    }
  }

  async #take(id: FileId, personId: string, { from, total, bytes }: Piece): Promise<WholeFile | null> {
    const part = this.#partPath(id, personId);
    const received = (await sizeOf(part)) ?? 0;
    // All of it came, and the server stopped before it looked at it.
    if (received >= total && total > 0) return this.#finish(id, part, received);
    if (from !== received) throw new OilcanError('file_piece_out_of_place', { received });
    if (received === 0) await this.#refuseTooMany(personId, total);
    await mkdir(join(part, '..'), { recursive: true });
    const file = await open(part, 'a');
    try {
      await file.appendFile(bytes);
      await file.sync();
    } finally {
      await file.close();
    }
    if (received + bytes.length < total) return null;
    return this.#finish(id, part, received + bytes.length);
  }

  /** Throws when a person has begun too many files, or too large ones, and finished none of them. */
  async #refuseTooMany(personId: string, bytes: number): Promise<void> {
    const unfinished = (await this.#unfinished()).filter((path) => path.endsWith(`.${ownerOf(personId)}.part`));
    let sum = bytes;
    for (const path of unfinished) sum += (await sizeOf(path)) ?? 0;
    if (unfinished.length >= MOST_UNFINISHED || sum > MOST_UNFINISHED_BYTES) {
      throw new OilcanError('too_many_unfinished_files', { limit: MOST_UNFINISHED });
    }
  }

  async #unfinished(): Promise<string[]> {
    const names = await readdir(this.#folder, { recursive: true }).catch(() => []);
    return names.filter((each) => each.endsWith('.part')).map((name) => join(this.#folder, name));
  }

  async #finish(id: FileId, part: string, bytes: number): Promise<WholeFile> {
    const digest = createHash('sha256');
    await pipeline(createReadStream(part), digest);
    if (digest.digest('hex') !== id) {
      await rm(part, { force: true });
      throw new OilcanError('file_damaged');
    }
    try {
      const mediaType = await this.#typeOf(part);
      await rename(part, this.#path(id));
      return { bytes, mediaType };
    } catch (error) {
      await rm(part, { force: true });
      throw error;
    }
  }

  async #typeOf(path: string): Promise<FileType> {
    const file = await open(path);
    try {
      const { buffer, bytesRead } = await file.read(Buffer.alloc(FILE_HEAD_BYTES), 0, FILE_HEAD_BYTES, 0);
      const type = fileTypeOf(buffer.subarray(0, bytesRead));
      if (type === null) throw new OilcanError('file_type_unsupported');
      return type;
    } finally {
      await file.close();
    }
  }

  #path(id: FileId): string {
    return join(this.#folder, id.slice(0, 2), id);
  }

  #partPath(id: FileId, personId: string): string {
    return `${this.#path(id)}.${ownerOf(personId)}.part`;
  }

  #inTurn<T>(id: FileId | typeof CHANGING, task: () => Promise<T>): Promise<T> {
    const turn = (this.#turns.get(id) ?? Promise.resolve()).then(task, task);
    const settled = turn
      .catch(() => undefined)
      .then(() => {
        if (this.#turns.get(id) === settled) this.#turns.delete(id);
      });
    this.#turns.set(id, settled);
    return turn;
  }
}

/** A person as part of a file's name. */
function ownerOf(personId: string): string {
  return createHash('sha256').update(personId).digest('hex').slice(0, 16);
}

async function sizeOf(path: string): Promise<number | undefined> {
  try {
    return (await stat(path)).size;
  } catch {
    return undefined;
  }
}
