import { createHash } from 'node:crypto';
import type { FileId } from '@oilcan/core/kernel';
import type { Report } from '@oilcan/core/raising/reports';
import { aReportLabel } from '@oilcan/core/testing';
import type { LightMyRequestResponse } from 'fastify';
import type { TestServer } from './test-server';

/** The smallest picture: a PNG of one pixel. */
export const onePixel = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

export const nameOf = (content: Buffer): FileId => createHash('sha256').update(content).digest('hex') as FileId;

export type Parts = Readonly<Record<string, string | Buffer>>;

/** A form as a browser sends it (RFC 7578). */
function formOf(parts: Parts): { readonly payload: Buffer; readonly headers: Record<string, string> } {
  const boundary = 'between-the-parts';
  const pieces = Object.entries(parts).flatMap(([name, value]) => {
    const isFile = Buffer.isBuffer(value);
    const file = isFile ? '; filename="photo"\r\ncontent-type: image/png' : '';
    return [
      Buffer.from(`--${boundary}\r\ncontent-disposition: form-data; name="${name}"${file}\r\n\r\n`),
      Buffer.from(value),
      Buffer.from('\r\n'),
    ];
  });
  return {
    payload: Buffer.concat([...pieces, Buffer.from(`--${boundary}--\r\n`)]),
    headers: { 'content-type': `multipart/form-data; boundary=${boundary}` },
  };
}

/** What somebody without an account does with their browser, by the label of the builders. */
export function guestBrowser(server: () => TestServer) {
  const { id: key } = aReportLabel();
  let posts = 0;
  const newPost = (): string => `post-of-a-browser-${(posts += 1)}`;
  const send = (url: string, parts: Parts, headers: Record<string, string> = {}): Promise<LightMyRequestResponse> => {
    const form = formOf({ post: newPost(), ...parts });
    return server().ask(null, { method: 'POST', url, payload: form.payload, headers: { ...form.headers, ...headers } });
  };
  const get = (url: string, cookie: string | null = null) => server().ask(cookie, { url });
  const reports = async (): Promise<Report[]> =>
    (await server().database('reports').orderBy('number').select('body')).map(
      ({ body }) => JSON.parse(body as string) as Report,
    );
  const followOf = (answer: LightMyRequestResponse): string => String(answer.headers.location);
  const report = async (parts: Parts = {}): Promise<string> => {
    const answer = await send(`/r/${key}`, { words: 'It squeaks', ...parts });
    expect(answer.statusCode).toBe(303);
    return followOf(answer);
  };
  return { newPost, send, get, reports, followOf, report };
}
