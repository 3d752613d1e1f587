import { createServer, request, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { once } from 'node:events';

/** What the line to the server does with the API's messages. */
export type Trouble = 'none' | 'answers 500' | 'hangs' | 'loses the answer' | 'cuts the answer half-way';

/** A line between browser and server on which things go wrong, with sockets that really break. */
export class BadLine {
  trouble: Trouble = 'none';
  readonly #server: Server;
  readonly #behind: string;

  constructor(behind: string) {
    this.#behind = behind;
    this.#server = createServer((incoming, outgoing) => this.#pass(incoming, outgoing));
  }

  async start(): Promise<string> {
    this.#server.listen(0, '127.0.0.1');
    await once(this.#server, 'listening');
    const address = this.#server.address();
    return `http://127.0.0.1:${typeof address === 'object' ? address?.port : ''}`;
  }

  stop(): void {
    this.#server.closeAllConnections();
    this.#server.close();
  }

  #pass(incoming: IncomingMessage, outgoing: ServerResponse): void {
    const isApi = incoming.url?.startsWith('/api/') === true;
    const trouble = isApi ? this.trouble : 'none';
    if (trouble === 'hangs') return void incoming.resume();
    if (trouble === 'answers 500') return void outgoing.writeHead(500, { 'content-type': 'text/plain' }).end('broken');
    const onward = request(
      `${this.#behind}${incoming.url}`,
      {
        method: incoming.method,
        headers: { ...incoming.headers, host: new URL(this.#behind).host, origin: this.#behind },
      },
      (answer) => {
        if (trouble === 'loses the answer') {
          // The server has done what it was asked; nobody hears of it.
          answer.resume().on('end', () => outgoing.destroy());
        } else if (trouble === 'cuts the answer half-way') {
          outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
          answer.once('data', (piece: Buffer) => {
            outgoing.write(piece.subarray(0, Math.ceil(piece.length / 2)), () => outgoing.destroy());
          });
        } else {
          outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
          answer.pipe(outgoing);
        }
      },
    );
    onward.on('error', () => outgoing.destroy());
    outgoing.on('close', () => onward.destroy());
    incoming.pipe(onward);
  }
}
