import { createHash } from 'node:crypto';
import { createReadStream, type ReadStream } from 'node:fs';
import { mkdir, open, readdir, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { OilcanError, pictureTypeOf, type FileId, type PictureType } from '@oilcan/core';

/** A file that was begun and not gone on with for so long is removed. */
const ABANDONED_MILLISECONDS = 14 * 24 * 3_600_000;
const SIGNATURE_BYTES = 16;

/** Where one piece of a file belongs. */
export interface Piece {
  readonly from: number;
  readonly total: number;
  readonly bytes: Uint8Array;
}

export interface WholeFile {
  readonly bytes: number;
  readonly mediaType: PictureType;
}

/** Files in a folder, each under its SHA-256; those that are still coming beside them. */
export class FileStore {
  readonly #folder: string;
  /** What is being done to a file, so that pieces of one file follow one another. */
  readonly #turns = new Map<FileId, Promise<unknown>>();

  constructor(folder: string) {
    this.#folder = folder;
  }

  /** How many bytes have arrived. */
  async received(id: FileId): Promise<number> {
    return (await sizeOf(this.#path(id))) ?? (await sizeOf(this.#partPath(id))) ?? 0;
  }

  /**
   * Takes the next piece; gives the whole file once its last piece is there and it is what its name says.
   * Throws `file_piece_out_of_place`, `file_damaged` or `file_type_unsupported`.
   */
  take(id: FileId, piece: Piece): Promise<WholeFile | null> {
    return this.#inTurn(id, () => this.#take(id, piece));
  }

  /** Keeps a whole file that is at hand. Throws `file_damaged` when it is not what its name says. */
  async put(id: FileId, content: Uint8Array): Promise<void> {
    if (createHash('sha256').update(content).digest('hex') !== id) throw new OilcanError('file_damaged');
    const path = this.#path(id);
    await mkdir(join(path, '..'), { recursive: true });
    await writeFile(this.#partPath(id), content);
    await rename(this.#partPath(id), path);
  }

  read(id: FileId): ReadStream {
    return createReadStream(this.#path(id));
  }

  /** Removes what was begun long ago and never ended. */
  async tidy(nowMillis: number): Promise<void> {
    const names = await readdir(this.#folder, { recursive: true }).catch(() => []);
    for (const name of names.filter((each) => each.endsWith('.part'))) {
      const path = join(this.#folder, name);
      const { mtimeMs } = await stat(path);
      if (nowMillis - mtimeMs > ABANDONED_MILLISECONDS) await rm(path, { force: true });
    }
  }

  async #take(id: FileId, { from, total, bytes }: Piece): Promise<WholeFile | null> {
    const whole = await sizeOf(this.#path(id));
    // It may have been here already, or the server stopped between storing it and noting that it did.
    if (whole !== undefined) return { bytes: whole, mediaType: await this.#typeOf(this.#path(id)) };
    const part = this.#partPath(id);
    const received = (await sizeOf(part)) ?? 0;
    // All of it came, and the server stopped before it looked at it.
    if (received >= total && total > 0) return this.#finish(id, part, received);
    if (from !== received) throw new OilcanError('file_piece_out_of_place', { received });
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

  async #typeOf(path: string): Promise<PictureType> {
    const file = await open(path);
    try {
      const { buffer, bytesRead } = await file.read(Buffer.alloc(SIGNATURE_BYTES), 0, SIGNATURE_BYTES, 0);
      const type = pictureTypeOf(buffer.subarray(0, bytesRead));
      if (type === null) throw new OilcanError('file_type_unsupported');
      return type;
    } finally {
      await file.close();
    }
  }

  #path(id: FileId): string {
    return join(this.#folder, id.slice(0, 2), id);
  }

  #partPath(id: FileId): string {
    return `${this.#path(id)}.part`;
  }

  #inTurn<T>(id: FileId, task: () => Promise<T>): Promise<T> {
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

async function sizeOf(path: string): Promise<number | undefined> {
  try {
    return (await stat(path)).size;
  } catch {
    return undefined;
  }
}
