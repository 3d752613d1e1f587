import { Agent, request } from 'node:http';

/** Asks a server over connections that stay open, as phones do. */
export class Line {
  readonly #agent: Agent;
  readonly #address: string;
  readonly #cookie: string;

  constructor(address: string, cookie: string, connections: number) {
    this.#address = address;
    this.#cookie = cookie;
    this.#agent = new Agent({ keepAlive: true, maxSockets: connections });
  }

  ask(method: string, path: string, body = '', cookie = this.#cookie): Promise<string> {
    return new Promise((resolve, reject) => {
      const headers = {
        cookie,
        ...(body === '' ? {} : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) }),
      };
      const sent = request(`${this.#address}${path}`, { method, agent: this.#agent, headers }, (answer) => {
        let text = '';
        answer.setEncoding('utf8').on('data', (chunk: string) => (text += chunk));
        answer.on('end', () => {
          if (answer.statusCode === 200 && !text.includes('"ok":false')) resolve(text);
          else reject(new Error(`The benchmark was refused: ${text.slice(0, 300)}`));
        });
      });
      sent.on('error', reject).end(body);
    });
  }

  close(): void {
    this.#agent.destroy();
  }
}
