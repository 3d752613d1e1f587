import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsQR from 'jsqr';
import { labelText, readCode } from '@oilcan/core/plant/plant';
import { jobCard, type JobCard } from './job-card';
import { labelFormats, type Label, type LabelFormatName } from './label-formats';
import { labelSheet } from './label-sheet';
import { outOfServiceTag } from './out-of-service-tag';
import type { ReadFont } from './paper-fonts';

// What we print is read back by others: the text by poppler, the codes (ISO/IEC 18004) by jsQR.
const DOTS_PER_INCH = 200;
const root = join(__dirname, '../..');
const read: ReadFont = async (file) => {
  const family = file.startsWith('barlow') ? 'barlow-condensed' : 'atkinson-hyperlegible-next';
  return readFileSync(join(root, 'node_modules/@fontsource', family, 'files', file));
};

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'oilcan-paper-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function placed(content: Uint8Array): string {
  const file = join(folder, 'paper.pdf');
  writeFileSync(file, content);
  return file;
}

const textOf = (content: Uint8Array): string => execFileSync('pdftotext', ['-layout', placed(content), '-']).toString();
const pagesOf = (content: Uint8Array): number =>
  Number(/Pages:\s+(\d+)/.exec(execFileSync('pdfinfo', [placed(content)]).toString())?.[1]);

interface Picture {
  readonly width: number;
  readonly height: number;
  readonly gray: Uint8ClampedArray;
}

function pictureOf(content: Uint8Array, page: number): Picture {
  const pages = ['-f', String(page), '-l', String(page)];
  const pgm = execFileSync('pdftoppm', ['-gray', '-r', String(DOTS_PER_INCH), ...pages, placed(content)], {
    maxBuffer: 1 << 28,
  });
  const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(pgm.subarray(0, 40).toString('latin1'));
  const [width, height] = [Number(head?.[1]), Number(head?.[2])];
  return { width, height, gray: new Uint8ClampedArray(pgm.subarray(head?.[0].length ?? 0)) };
}

/** What stands in the one code within a part of a picture, given in millimetres. */
function codeIn(picture: Picture, x: number, y: number, width: number, height: number): string {
  const dots = (millimetres: number): number => Math.round((millimetres / 25.4) * DOTS_PER_INCH);
  const [left, upper] = [dots(x), dots(y)];
  const columns = Math.min(dots(width), picture.width - left);
  const rows = Math.min(dots(height), picture.height - upper);
  const part = new Uint8ClampedArray(columns * rows * 4).fill(255);
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const gray = picture.gray[(upper + row) * picture.width + left + column] ?? 255;
      part.fill(gray, (row * columns + column) * 4, (row * columns + column) * 4 + 3);
    }
  }
  return jsQR(part, columns, rows, { inversionAttempts: 'dontInvert' })?.data ?? 'no code';
}

const code = labelText('https://oilcan.example:4870', 'LRK-G1');
const card: JobCard = {
  number: 'W-2417',
  title: 'Gearbox output seal weeping oil',
  organization: 'Graupel Peak Ropeways',
  reason: 'Puddle under the coupling again, für die Öllache; Škoda, łańcuch, 60 °C, 40–400 N·m.',
  facts: [['Machine', 'Lark drive gearbox (LRK-G1)']],
  permits: [['Hot work HW-114, until Monday', 'A fire watch after']],
  hazards: [['Drive can start', 'Lock out']],
  isolation: [['Main switch Q1', '', 'Try to start']],
  kit: ['1 pcs Shaft seal, Base store bin C-04'],
  steps: [
    ['Drain to below the seal', ''],
    ['Dry after the run', 'Good   /   Faulty   /   Faulty, put right'],
  ],
  code,
  printed: 'Printed today',
};

describe('a job card', () => {
  it('has everything of the job, in letters of several languages', async () => {
    const text = textOf(await jobCard(card, read));
    for (const piece of [
      'W-2417',
      'Gearbox output seal weeping oil',
      'LRK-G1',
      'Main switch Q1',
      'Hot work HW-114, until Monday',
      'A fire watch after',
      'Shaft seal, Base store bin C-04',
      'Dry after the run',
      'Škoda, łańcuch, 60 °C, 40–400 N·m',
    ]) {
      expect(text).toContain(piece);
    }
  });

  it('bears a code that another decoder reads', async () => {
    expect(codeIn(pictureOf(await jobCard(card, read), 1), 150, 5, 60, 45)).toBe(code);
  });

  it('goes on over pages when there is much, and loses nothing', async () => {
    const steps = Array.from({ length: 90 }, (_, index): [string, string] => [`Step number ${index + 1} of many`, '']);
    const long = await jobCard({ ...card, steps, reason: 'x'.repeat(900) }, read);
    expect(pagesOf(long)).toBeGreaterThan(2);
    const text = textOf(long);
    for (const [step] of steps) expect(text).toContain(step);
  });

  it('stands for what no shipped font has by a question mark', async () => {
    expect(textOf(await jobCard({ ...card, title: 'Насос 7' }, read))).toMatch(/\?+ 7/);
  });
});

describe('a tag', () => {
  it('says what it is for, and its code leads to the machine', async () => {
    const tag = await outOfServiceTag(
      {
        number: 'W-2417',
        title: 'Seal',
        machine: 'Lark drive gearbox',
        tag: 'LRK-G1',
        place: 'Top station, drive room',
        person: 'Ines Okafor',
        since: 'Monday 23 November 2026, 10:42',
        organization: 'Graupel Peak Ropeways',
        code,
      },
      read,
    );
    const text = textOf(tag);
    for (const piece of ['DO NOT START', 'Out of service', 'LRK-G1', 'Ines Okafor']) expect(text).toContain(piece);
    expect(codeIn(pictureOf(tag, 1), 0, 0, 105, 148)).toBe(code);
  });
});

describe('labels', () => {
  const labels = (count: number): Label[] =>
    Array.from({ length: count }, (_, index) => {
      const tag = `GUN-${index + 1}`;
      return {
        code: labelText('http://127.0.0.1:4870', tag),
        headline: tag,
        detail: `Snow gun ${index + 1}, slope lane 2`,
      };
    });

  it.each(Object.keys(labelFormats) as LabelFormatName[])(
    'of size %s are read back one by one, each in its place',
    async (name) => {
      const { columns, rows, width, height } = labelFormats[name];
      const first = 2;
      const count = columns * rows;
      const content = await labelSheet(labels(count), name, first, read);
      expect(pagesOf(content)).toBe(2);
      for (const [index, page] of [
        [0, 1],
        [count - 2, 1],
        [count - 1, 2],
      ] as const) {
        const place = (index + first - 1) % count;
        const left = (210 - columns * width) / 2 + (place % columns) * width;
        const upper = (297 - rows * height) / 2 + Math.floor(place / columns) * height;
        const text = codeIn(pictureOf(content, page), left, upper, width, height);
        expect(readCode(text)).toBe(`GUN-${index + 1}`);
      }
      expect(textOf(content)).toContain('GUN-7');
    },
  );

  it('say long names whole, on as many lines as they take, and cut what fits on no label', async () => {
    const label = (headline: string, detail: string): Label => ({ code, headline, detail });
    const place = label('Top station, drive room', 'PLACE:TOP-DRIVE');
    const machine = label('LRK-B2', 'Lark emergency brake, second calliper');
    const endless = label('LRK-B3', 'word '.repeat(60));
    const text = textOf(await labelSheet([place, machine, endless], 'middle', 1, read)).replace(/\s+/g, ' ');
    for (const word of ['Top', 'station,', 'drive', 'room', 'PLACE:TOP-DRIVE', 'emergency', 'calliper'])
      expect(text).toContain(word);
    expect(text.match(/…/g)).toHaveLength(1);
  });
});
