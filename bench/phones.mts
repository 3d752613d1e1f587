import { Agent, request } from 'node:http';
import { parentPort, workerData } from 'node:worker_threads';

/** What a thread of phones is told: where to send, as whom, and what. */
export interface PhonesOrder {
  readonly address: string;
  readonly cookie: string;
  readonly bodies: readonly string[];
  /** How many send at once. */
  readonly phones: number;
}

/** Sends every body, some at once, in a thread of its own so that the server is not slowed by its own clients. */
async function sendAll({ address, cookie, bodies, phones }: PhonesOrder): Promise<number> {
  const agent = new Agent({ keepAlive: true, maxSockets: phones });
  const waiting = [...bodies];
  const started = performance.now();
  const phone = async (): Promise<void> => {
    for (let body = waiting.shift(); body !== undefined; body = waiting.shift()) await send(body);
  };
  const send = (body: string): Promise<void> =>
    new Promise((resolve, reject) => {
      const headers = { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body), cookie };
      const sent = request(`${address}/api/operations`, { method: 'POST', agent, headers }, (answer) => {
        let text = '';
        answer.setEncoding('utf8').on('data', (chunk: string) => (text += chunk));
        answer.on('end', () => {
          if (answer.statusCode === 200 && !text.includes('"ok":false')) resolve();
          else reject(new Error(`An operation of the benchmark was refused: ${text.slice(0, 300)}`));
        });
      });
      sent.on('error', reject).end(body);
    });
  await Promise.all(Array.from({ length: phones }, phone));
  agent.destroy();
  return (performance.now() - started) / 1000;
}

if (parentPort !== null) parentPort.postMessage(await sendAll(workerData as PhonesOrder));
