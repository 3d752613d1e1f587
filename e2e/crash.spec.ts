import Database from 'better-sqlite3';
import { PROTOCOL, PUSH_LIMIT, type PushAnswer } from '@oilcan/core/sync';
import { DemoServer } from './demo-server';
import { expect, test } from './works';

// Everything here has signal: no service worker needs to fetch the whole application for it.
test.use({ serviceWorkers: 'block' });

const ROUNDS = 10;
const LONGEST_LIFE_MILLISECONDS = 120;

/** A UUID of version 7 out of a count. */
const idOf = (count: number): string => `01930000-0000-7000-8000-${count.toString(16).padStart(12, '0')}`;

for (const time of [1, 2, 3]) {
  test(`a server that is killed ${ROUNDS} times under load keeps everything that it acknowledged, once, time ${time}`, async () => {
    const server = new DemoServer();
    const acknowledged = new Set<string>();
    let made = 0;
    let cookie = '';

    const workOrderId = server.workOf('Service brake lining below 5 mm');
    const batch = (): unknown[] =>
      Array.from({ length: PUSH_LIMIT }, () => {
        made += 1;
        const args = { workOrderId, text: `Note ${made}` };
        const at = new Date().toISOString();
        return { id: idOf(made), name: 'note.add', args, at, ahead: 0, knownUntil: at, by: 'ines', device: 'crash' };
      });
    const push = async (): Promise<void> => {
      const body = JSON.stringify({ protocol: PROTOCOL.newest, operations: batch() });
      const headers = { 'content-type': 'application/json', cookie };
      const answer = await fetch(`${server.address}/api/operations`, { method: 'POST', headers, body });
      if (!answer.ok) throw new Error(await answer.text());
      const { outcomes } = (await answer.json()) as PushAnswer;
      for (const { id, outcome } of outcomes) if (outcome.ok) acknowledged.add(id);
    };

    for (let round = 0; round < ROUNDS; round += 1) {
      await server.start();
      if (cookie === '') cookie = await signIn(server.address);
      // Three lines at once, each until the server is gone.
      const load = Array.from({ length: 3 }, async () => {
        for (;;) await push();
      });
      const settled = Promise.allSettled(load);
      // However slow the machine, something was acknowledged before the end comes at some moment of what follows.
      const before = acknowledged.size;
      await expect.poll(() => acknowledged.size, { intervals: [5] }).toBeGreaterThan(before);
      await new Promise((resolve) =>
        setTimeout(resolve, 5 + (((time * ROUNDS + round) * 37) % LONGEST_LIFE_MILLISECONDS)),
      );
      await server.stop('SIGKILL');
      await settled;
    }

    const database = new Database(server.file);
    expect(database.pragma('integrity_check', { simple: true })).toBe('ok');
    const logged = database.prepare("SELECT id FROM operations WHERE name = 'note.add'").pluck().all() as string[];
    const entries = database.prepare("SELECT id FROM entries WHERE id LIKE '01930000-%'").pluck().all() as string[];
    database.close();
    await server.dispose();
    expect(acknowledged.size).toBeGreaterThan(ROUNDS * PUSH_LIMIT);
    expect([...acknowledged].filter((id) => !logged.includes(id))).toEqual([]);
    expect(new Set(logged).size).toBe(logged.length);
    // Each operation stands there with its entry, or neither does.
    expect([...entries].sort()).toEqual([...logged].sort());
  });
}

async function signIn(address: string): Promise<string> {
  const answer = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Ines Okafor', password: 'mountain' }),
  });
  return answer.headers.get('set-cookie')?.split(';')[0] ?? '';
}
