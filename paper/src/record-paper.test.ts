import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ReadFont } from './paper-fonts';
import { recordPaper, type RecordPaper } from './record-paper';

const root = join(__dirname, '../..');
const read: ReadFont = async (file) => {
  const family = file.startsWith('barlow') ? 'barlow-condensed' : 'atkinson-hyperlegible-next';
  return readFileSync(join(root, 'node_modules/@fontsource', family, 'files', file));
};

const record: RecordPaper = {
  number: 'W-2417',
  title: 'Gearbox output seal weeping oil',
  organization: 'Graupel Peak Ropeways',
  reason: 'Noticed on the morning round: a drop a minute.',
  facts: [
    ['Machine', 'Lark drive gearbox (LRK-GBX)'],
    ['Finished', 'Tue 24 Nov, by Ines Ökafőr'],
  ],
  steps: [
    ['1', 'Shaft where the lip runs', 'faulty, put right'],
    ['2', 'Oil filled to the mark', 'done'],
  ],
  readings: [
    {
      name: 'Vibration, output bearing',
      said: '4.8 mm/s, beyond alert',
      limits: 'alert 4.5, alarm 7.1 mm/s',
      scale: { from: 0, to: 9 },
      marks: [
        { value: 4.5, is: 'alert' },
        { value: 7.1, is: 'alarm' },
      ],
      before: [1.9, 2.4, 3.1],
      value: 4.8,
    },
  ],
  entries: [
    ['Tue 24 Nov, 14:20, Ines Okafor', '1 h 30 of work', 'Regular · EUR 120.00'],
    ['Tue 24 Nov, 14:25, Ines Okafor', 'Grease was black', ''],
  ],
  costs: [['Own time', 'EUR 120.00']],
  photos: ['Old seal', 'New seal', 'Not here'],
  signatures: [{ path: 'M0 0L100 40L200 0', words: 'Taken back by Eva Brunner', since: 'One entry was added since.' }],
  made: 'Made on Tue 24 Nov 2026.',
};

/** One red point. */
const point = {
  mediaType: 'image/png' as const,
  content: Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==',
    'base64',
  ),
};

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'oilcan-record-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const read1 = (content: Uint8Array): string => {
  const file = join(folder, 'record.pdf');
  writeFileSync(file, content);
  // Checked by another reader than the library that wrote it.
  execFileSync('qpdf', ['--check', file]);
  return execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
};

describe('the record of a job on paper', () => {
  it('is read back whole by others', async () => {
    const text = read1(await recordPaper(record, [point, point, null], read));
    const parts = [
      record.number,
      record.title,
      record.organization,
      record.reason,
      'Ines Ökafőr',
      'Shaft where the lip runs',
      'faulty, put right',
      'Vibration, output bearing',
      '4.8 mm/s, beyond alert',
      'alert 4.5, alarm 7.1 mm/s',
      '1 h 30 of work',
      'EUR 120.00',
      'Grease was black',
      'Old seal',
      'This photo is not on the device',
      'Taken back by Eva Brunner',
      'One entry was added since.',
      'W-2417, 1 of 2',
    ];
    for (const part of parts) expect(text).toContain(part);
  });

  it('says nothing of cost where none is given, and is whole with nothing on it', async () => {
    const nothing = { ...record, steps: [], readings: [], entries: [], costs: [], photos: [], signatures: [] };
    const text = read1(await recordPaper(nothing, [], read));
    for (const heading of ['Cost', 'Steps', 'Readings', 'Record', 'Photos', 'Signed'])
      expect(text).not.toMatch(new RegExp(`^${heading}$`, 'm'));
  });

  it('goes on over as many pages as it takes', async () => {
    const entries = Array.from({ length: 400 }, (_, index) => ['Tue', `Entry ${index}`, 'x'.repeat(300)] as const);
    const text = read1(await recordPaper({ ...record, entries }, [null, null, null], read));
    expect(text).toContain('Entry 0');
    expect(text).toContain('Entry 399');
  });

  it('sets a signature without a stroke, and one that is a single point', async () => {
    const signatures = ['', 'M5 5L5 5'].map((path) => ({ path, words: 'Signed', since: '' }));
    expect(read1(await recordPaper({ ...record, signatures }, [], read))).toContain('Signed');
  });
});
