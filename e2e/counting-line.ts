import { once } from 'node:events';
import { connect, createServer, type Server } from 'node:net';

/** A line that counts every byte of every connection, headers and all. */
export class CountingLine {
  /** To the server, and back. */
  up = 0;
  down = 0;
  readonly #server: Server;

  constructor(behind: string) {
    const { hostname, port } = new URL(behind);
    this.#server = createServer((phone) => {
      const server = connect(Number(port), hostname);
      phone.on('data', (bytes) => (this.up += bytes.length));
      server.on('data', (bytes) => (this.down += bytes.length));
      for (const [from, to] of [
        [phone, server],
        [server, phone],
      ] as const) {
        from.on('error', () => to.destroy());
        from.pipe(to);
      }
    });
  }

  async start(): Promise<string> {
    this.#server.listen(0, '127.0.0.1');
    await once(this.#server, 'listening');
    const address = this.#server.address();
    return `http://127.0.0.1:${typeof address === 'object' ? address?.port : ''}`;
  }

  reset(): void {
    this.up = 0;
    this.down = 0;
  }

  stop(): void {
    this.#server.close();
  }
}
