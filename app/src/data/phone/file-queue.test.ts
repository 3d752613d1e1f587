import { addMinutes, asId, OilcanError, type FileId } from '@oilcan/core/kernel';
import { ann, noon } from '@oilcan/core/testing';
import { FileQueue } from './file-queue';
import type { KeptFile } from '../database/local-database';
import { MemoryDatabase } from '../database/memory-database';
import { Unreachable, type FileAnswer, type ServerLink } from '../server/server-link';

const idOf = (digit: number): FileId => asId<FileId>(String(digit).repeat(64));
const file = (digit: number, given: Partial<KeptFile> = {}): KeptFile => ({
  id: idOf(digit),
  mediaType: 'image/jpeg',
  bytes: 3,
  by: ann.id,
  isSent: false,
  keptAt: noon,
  ...given,
});
const content = new Uint8Array([1, 2, 3]);

/** A server that takes files, or fails at them as it is told. */
class Line {
  failure: (id: FileId) => Error | null = () => null;
  readonly arrived = new Set<FileId>();
  readonly link = {
    received: (id: FileId): Promise<FileAnswer> => this.#answer(id, { received: 0, isWhole: this.arrived.has(id) }),
    sendPiece: async (id: FileId): Promise<FileAnswer> => {
      const answer = await this.#answer(id, { received: content.length, isWhole: true });
      this.arrived.add(id);
      return answer;
    },
  } as unknown as ServerLink;

  #answer(id: FileId, answer: FileAnswer): Promise<FileAnswer> {
    const failure = this.failure(id);
    return failure === null ? Promise.resolve(answer) : Promise.reject(failure);
  }
}

let line: Line;
let queue: FileQueue;
let database: MemoryDatabase;
beforeEach(async () => {
  line = new Line();
  database = new MemoryDatabase();
  queue = new FileQueue(database, line.link);
  for (const digit of [1, 2]) await queue.keep(file(digit), content);
});
const wanted = [idOf(1), idOf(2)];

describe('files on their way', () => {
  it('go one after another, each once', async () => {
    const passedOver = new Set<FileId>();
    expect(await queue.sendNext(wanted, passedOver)).toEqual({ id: idOf(1), refusal: null });
    expect(await queue.sendNext(wanted, passedOver)).toEqual({ id: idOf(2), refusal: null });
    expect(await queue.sendNext(wanted, passedOver)).toBeNull();
    expect([...line.arrived]).toEqual(wanted);
  });

  it('do not hold up one another when the server fails at one', async () => {
    line.failure = (id) => (id === idOf(1) ? new OilcanError('unexpected') : null);
    const passedOver = new Set<FileId>();
    expect(await queue.sendNext(wanted, passedOver)).toEqual({ id: idOf(2), refusal: null });
    expect([...passedOver]).toEqual([idOf(1)]);
  });

  it('are put aside after five failures, or at once when the fault is theirs', async () => {
    line.failure = () => new OilcanError('unexpected');
    for (let turn = 1; turn < 5; turn += 1) expect(await queue.sendNext([idOf(1)], new Set())).toBeNull();
    expect(await queue.sendNext([idOf(1)], new Set())).toMatchObject({ refusal: { code: 'unexpected' } });
    line.failure = () => new OilcanError('file_type_unsupported');
    expect(await queue.sendNext([idOf(2)], new Set())).toMatchObject({ refusal: { code: 'file_type_unsupported' } });
  });

  it('wait without signal, and while the server has no space', async () => {
    line.failure = () => new Unreachable();
    await expect(queue.sendNext(wanted, new Set())).rejects.toThrow(Unreachable);
    line.failure = () => new OilcanError('no_space');
    await expect(queue.sendNext(wanted, new Set())).rejects.toThrow('no_space');
    expect(queue.isUnsent(idOf(1))).toBe(true);
  });

  it('are known by every window, through what is kept', async () => {
    const other = new FileQueue(database, line.link);
    expect([await other.has(idOf(1)), await other.has(idOf(9)), await other.has(null)]).toEqual([true, false, false]);
  });
});

describe('files that are kept', () => {
  const MEGABYTES = 1024 * 1024;
  const left = async (): Promise<FileId[]> => (await database.files()).map(({ id }) => id);

  it('give way when they were sent, the oldest first, beyond the budget', async () => {
    for (const digit of [1, 2]) await database.removeFile(idOf(digit));
    for (const digit of [3, 4, 5]) {
      const keptAt = `2026-11-23T1${digit}:00:00.000Z` as typeof noon;
      await queue.keep(file(digit, { isSent: true, bytes: 30 * MEGABYTES, keptAt }), content);
    }
    await queue.load();
    await queue.tidy([], noon);
    expect(await left()).toEqual([idOf(4), idOf(5)]);
  });

  it('stay as long as a record names them, or they may still be named', async () => {
    await queue.tidy([idOf(1)], addMinutes(noon, 25 * 60));
    // The second was taken a day ago, and nothing was recorded with it.
    expect(await left()).toEqual([idOf(1)]);
  });

  it('go once more when the server lost them', async () => {
    await queue.sendNext(wanted, new Set());
    expect(queue.isUnsent(idOf(1))).toBe(false);
    await queue.sendAgain(idOf(1));
    await queue.sendAgain(idOf(9));
    expect(queue.isUnsent(idOf(1))).toBe(true);
  });
});
