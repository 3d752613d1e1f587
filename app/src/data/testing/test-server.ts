import { OilcanError, toMillis, type FileId, type Instant } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import { MemoryRecords, type Change, type Row, type TableName } from '@oilcan/core/records';
import { tableNames, tables } from '@oilcan/core/registry';
import type { PullAnswer, PushAnswer } from '@oilcan/core/sync';
import {
  freshDatabase,
  mayNameFile,
  noteFile,
  numbersOf,
  pull,
  push,
  readWork,
  SqlRecords,
  sqlName,
} from '@oilcan/server/testing';
import { Unreachable, type FileAnswer, type ServerLink, type PullQuestion } from '../server/server-link';

type Database = Awaited<ReturnType<typeof freshDatabase>>;

/** The real server's synchronization on a database in memory, over a line that can break, lose its answers, or be refused. */
export class TestServer {
  /** What the server has, as it stood after the last message. */
  readonly records = new MemoryRecords(tables);
  signal: 'good' | 'none' | 'answers lost' = 'good';
  isSessionOver = false;
  pushes = 0;
  /** What phones asked for, in that order. */
  readonly questions: PullQuestion[] = [];
  /** Thrown instead of an answer to a push, when it gives one. */
  failure: (operations: readonly Operation[]) => Error | null = () => null;
  readonly now: () => Instant;
  /** What has arrived of each file. */
  readonly files = new Map<FileId, number[]>();
  /** How many pieces the line lets through before it breaks. */
  piecesUntilCut = Number.POSITIVE_INFINITY;
  readonly #database: Database;
  #mirrored = 0;

  private constructor(database: Database, now: () => Instant) {
    this.#database = database;
    this.now = now;
  }

  static async open(rows: readonly Change[], now: () => Instant): Promise<TestServer> {
    const server = new TestServer(await freshDatabase(), now);
    await server.write(rows);
    return server;
  }

  close(): Promise<void> {
    return this.#database.destroy();
  }

  /** Writes rows as somebody else did. */
  async write(changes: readonly Change[]): Promise<void> {
    await this.#database.transaction((transaction) => new SqlRecords(transaction).write(changes));
    await this.#mirror();
  }

  /** Another database stands at the address, as after a backup was restored: phones fetch everything anew. */
  async becomeAnother(): Promise<void> {
    await this.#database('identity').update({ id: 'another' });
    // Read anew, as by the server that is started on it.
    await this.#database('counters').where('name', 'scopes').increment('value', 1);
  }

  /** Whether everything of a file has arrived. */
  async noteArrived(id: FileId, person: Person, mediaType = 'image/jpeg'): Promise<void> {
    const file = { id, mediaType, bytes: 1, receivedAt: this.now() };
    await noteFile(this.#database, file, person.id);
  }

  /** The line of one person to it. */
  linkOf(person: Person): ServerLink {
    return {
      push: (operations) => this.#answer(() => this.#push(operations, person)),
      pull: (question) => {
        this.questions.push(question);
        return this.#answer(() => this.#pull(question, person));
      },
      work: (id) => this.#answer(() => readWork(this.#database, person, id)),
      received: (id) => this.#answer(() => this.#received(id, person)),
      sendPiece: (id, from, total, piece) => this.#answer(() => this.#takePiece(id, from, total, piece, person)),
    };
  }

  async #answer<T>(work: () => Promise<T>): Promise<T> {
    if (this.signal === 'none') throw new Unreachable();
    if (this.isSessionOver) throw new OilcanError('session_expired');
    const answer = await work();
    if (this.signal === 'answers lost') throw new Unreachable();
    return answer;
  }

  async #push(operations: readonly Operation[], person: Person): Promise<PushAnswer> {
    this.pushes += 1;
    const failure = this.failure(operations);
    if (failure !== null) throw failure;
    const { answer } = await push(this.#database, person, operations, () => toMillis(this.now()));
    await this.#mirror();
    return answer;
  }

  async #pull({ device, tablesAfter, ...question }: PullQuestion, person: Person): Promise<PullAnswer> {
    const asked = tablesAfter === null ? question : { ...question, tablesAfter };
    const answer = await pull(this.#database, person, asked, () => toMillis(this.now()));
    if (answer.hasMore || device === null) return answer;
    return { ...answer, numbers: await numbersOf(this.#database, device, person, this.now()) };
  }

  async #received(id: FileId, person: Person): Promise<FileAnswer> {
    const isWhole = await mayNameFile(this.#database, id, person);
    return { received: this.files.get(id)?.length ?? 0, isWhole };
  }

  async #takePiece(id: FileId, from: number, total: number, piece: Uint8Array, person: Person): Promise<FileAnswer> {
    if (this.piecesUntilCut <= 0) throw new Unreachable();
    this.piecesUntilCut -= 1;
    const before = this.files.get(id) ?? [];
    if (from !== before.length) throw new OilcanError('file_piece_out_of_place', { received: before.length });
    const content = [...before, ...piece];
    this.files.set(id, content);
    if (content.length === total) await this.noteArrived(id, person);
    return this.#received(id, person);
  }

  /** Takes over what was written since it was last looked at. */
  async #mirror(): Promise<void> {
    const [counter]: { value: number }[] = await this.#database('counters').where('name', 'revision').select('value');
    const newest = Number(counter?.value ?? 0);
    if (newest === this.#mirrored) return;
    const changes: Change[] = [];
    for (const table of tableNames) {
      const stored: { id: string; body: string }[] = await this.#database(sqlName(table))
        .where('revision', '>', this.#mirrored)
        .select('id', 'body');
      changes.push(...stored.map(({ id, body }) => changeOf(table, id, JSON.parse(body) as Row)));
    }
    const gone: { table_name: string; id: string }[] = await this.#database('feed')
      .where('is_gone', 1)
      .where('revision', '>', this.#mirrored)
      .select('table_name', 'id');
    for (const { table_name, id } of gone) {
      const table = tableNames.find((name) => sqlName(name) === table_name);
      const isThere = table === undefined ? [] : await this.#database(table_name).where({ id }).select('id');
      if (table !== undefined && isThere.length === 0) changes.push(changeOf(table, id, null));
    }
    this.records.change(changes);
    this.#mirrored = newest;
  }
}

function changeOf(table: TableName, id: string, row: Row | null): Change {
  return { table, id, row } as Change;
}
