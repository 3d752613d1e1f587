import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { chromium } from '@playwright/test';
import { asId, type AssetId, type ReportId, type WorkOrderId } from '@oilcan/core/kernel';
import { labelKeyFrom } from '@oilcan/core/raising/labels';
import { WhatIsKnown } from '@oilcan/core/raising/reports';
import {
  anAsset,
  anOperation,
  aReport,
  aReportLabel,
  aWorkOrder,
  put,
  smallWorks,
  somePlace,
  someRules,
  workId,
} from '@oilcan/core/testing';
import { Line } from './http.mjs';
import { median, percentile, report } from './report.mjs';
import { pushBody, startServer } from './small-server.mjs';

const words = [
  'oil',
  'seal',
  'bearing',
  'noise',
  'pump',
  'valve',
  'belt',
  'rope',
  'grip',
  'leaks',
  'squeaks',
  'hangs',
  'door',
  'lamp',
];
const some = (seed: number): string =>
  [0, 1, 2, 3].map((at) => words[(seed * (at + 3) + at * 5) % words.length]).join(' ');

/** What is known already, found again with every letter, among 2,000 open jobs and reports of 400 machines. */
export function benchKnown(): void {
  const assets = Array.from({ length: 400 }, (_, index) => anAsset({ id: asId<AssetId>(`asset-${index}`) }));
  const at = (index: number) => ({ assetId: asId<AssetId>(`asset-${index % 400}`) });
  const works = Array.from({ length: 1_500 }, (_, index) =>
    aWorkOrder({ id: asId<WorkOrderId>(`w-${index}`), title: some(index), reason: some(index + 7), ...at(index) }),
  );
  const reports = Array.from({ length: 500 }, (_, index) =>
    aReport({ id: asId<ReportId>(`p-${index}`), words: `${some(index)} ${some(index + 3)}`, ...at(index) }),
  );
  const known = new WhatIsKnown(works, reports, { assets, places: [somePlace] });
  const typed = 'the belt squeaks and the bearing is making noise';
  const took = Array.from(typed, (_, index) => {
    const started = performance.now();
    known.find({ assetId: asId<AssetId>('asset-7'), placeId: null }, typed.slice(0, index + 1), 4);
    return performance.now() - started;
  });
  report(
    'what is known already, a key among 2,000, 95th percentile',
    percentile(took, 95),
    'limit',
    30,
    'ms',
    'aim: 1.0 or less',
  );
}

const LABELS = 200;
const keyOf = (index: number): string =>
  labelKeyFrom(Uint8Array.from({ length: 20 }, (_, at) => (index * 31 + at * 7) % 256));

/** A works with so many labels, which takes the reports of everybody. */
async function startWithLabels(webRoot: string | null = null) {
  const folder = mkdtempSync(join(tmpdir(), 'oilcan-bench-'));
  const rows = [
    ...smallWorks({ state: 'underway' }),
    put('places', somePlace),
    put('raiseRules', someRules({ takesGuests: true, publicKnowledge: 'titles' })),
    ...Array.from({ length: LABELS }, (_, index) => put('reportLabels', aReportLabel({ id: keyOf(index) }))),
  ];
  const server = await startServer(join(folder, 'works.sqlite'), rows, webRoot);
  return { ...server, done: () => rmSync(folder, { recursive: true, force: true }) };
}

const DOWN_BYTES_PER_SECOND = 400_000 / 8;
const LATENCY_MILLISECONDS = 400;

/** The page of a label on a bad line: its weight, and until something can be typed. */
export async function benchGuestPage(): Promise<void> {
  // Its fonts are those of the application.
  const server = await startWithLabels(resolve('app/dist'));
  const browser = await chromium.launch({
    executablePath: process.env['OILCAN_CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const took: number[] = [];
  let bytes = 0;
  for (let round = 0; round < 5; round += 1) {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const page = await context.newPage();
    const session = await context.newCDPSession(page);
    await session.send('Network.enable');
    await session.send('Network.emulateNetworkConditions', {
      offline: false,
      latency: LATENCY_MILLISECONDS,
      downloadThroughput: DOWN_BYTES_PER_SECOND,
      uploadThroughput: DOWN_BYTES_PER_SECOND,
    });
    bytes = 0;
    session.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
    const started = performance.now();
    await page.goto(`${server.address}/r/${keyOf(round)}`, { waitUntil: 'commit' });
    await page.getByLabel('What is wrong?').fill('x');
    took.push(performance.now() - started);
    await page.waitForLoadState('load');
    await context.close();
  }
  await browser.close();
  await server.close();
  server.done();
  report(
    'page of a label at 400 kbit/s and 400 ms: until something is typed',
    median(took),
    'limit',
    2_000,
    'ms',
    'aim: 1.0 or less',
  );
  report('all that it loads', bytes / 1_000, 'limit', 60, 'kB', 'aim: 1.0 or less');
}

const REPORTERS = 200;
const SECONDS = 60;
/** A reporter sends one, reads what became of it, and sends the next. */
const PAUSE_MILLISECONDS = 2_000;

/** Two hundred people without an account at once for a minute: none of their reports is lost, and a technician still gets through. */
export async function benchReporters(): Promise<void> {
  const server = await startWithLabels();
  const line = new Line(server.address, server.cookie, 1);
  const push = async (): Promise<number> => {
    const started = performance.now();
    const note = anOperation('note.add', { workOrderId: workId, text: 'x' }, { at: new Date().toISOString() });
    await line.ask('POST', '/api/operations', pushBody([note]));
    return performance.now() - started;
  };
  const alone: number[] = [];
  for (let sent = 0; sent < 200; sent += 1) alone.push(await push());
  const until = performance.now() + SECONDS * 1_000;
  const agent = new Agent({ keepAlive: true, maxSockets: REPORTERS });
  let taken = 0;
  let refused = 0;
  const reporter = async (index: number): Promise<void> => {
    for (let said = 0; performance.now() < until; said += 1) {
      const status = await sendReport(
        agent,
        server.address,
        keyOf(index),
        `reporter-${index}-${said}-of-the-benchmark`,
      );
      if (status === 201) taken += 1;
      else refused += 1;
      await new Promise((resume) =>
        setTimeout(resume, PAUSE_MILLISECONDS * (0.5 + ((index * 37 + said * 11) % 100) / 100)),
      );
    }
  };
  const among: number[] = [];
  const technician = async (): Promise<void> => {
    while (performance.now() < until) {
      among.push(await push());
      await new Promise((resume) => setTimeout(resume, 100));
    }
  };
  await Promise.all([technician(), ...Array.from({ length: REPORTERS }, (_, index) => reporter(index))]);
  agent.destroy();
  line.close();
  const there = await server.countOf('reports');
  await server.close();
  server.done();
  report(`200 reporters for a minute: reports kept (${refused} refused)`, there, 'taken', taken, '', 'aim: 1.0');
  report('meanwhile a technician’s push, median', median(among), 'alone', median(alone), 'ms', 'aim: 1.5 or less');
}

function sendReport(agent: Agent, address: string, key: string, postId: string): Promise<number> {
  const boundary = 'between-the-parts';
  const parts = Object.entries({ post: postId, words: `Squeaks ${postId}`, condition: 'running' }).map(
    ([name, value]) => `--${boundary}\r\ncontent-disposition: form-data; name="${name}"\r\n\r\n${value}\r\n`,
  );
  const body = `${parts.join('')}--${boundary}--\r\n`;
  const headers = {
    accept: 'application/json',
    'content-type': `multipart/form-data; boundary=${boundary}`,
    'content-length': Buffer.byteLength(body),
  };
  return new Promise((resume, reject) => {
    const sent = request(`${address}/r/${key}`, { method: 'POST', agent, headers }, (answer) => {
      answer.resume().on('end', () => resume(answer.statusCode ?? 0));
    });
    sent.on('error', reject).end(body);
  });
}
