import { screen } from '@testing-library/react';
import { asId, type StoreId } from '@oilcan/core/kernel';
import { readCode } from '@oilcan/core/plant/plant';
import { put, site, smallWorks } from '@oilcan/core/testing';
import { visited } from '../../../testing/router';
import { press } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { TryCodesScreen } from './try-codes-screen';

// It draws with a canvas, which there is none of here.
jest.mock('jsbarcode', () => jest.fn());

let works: TestWorks;
beforeEach(async () => {
  works = await TestWorks.open([
    ...smallWorks(),
    put('stores', { id: asId<StoreId>('store'), siteId: site, name: 'Base store' }),
  ]);
  await works.show(<TryCodesScreen />);
});
afterEach(() => works.close());

/** The code that the scanner is given by the last press. */
const scanned = (): string => new URL(visited.at(-1) ?? '', 'http://oilcan.test').searchParams.get('code') ?? '';

describe('codes to try', () => {
  it('are those of a machine, a bin, a part and nobody, each a press from the scanner', async () => {
    const codes: (string | null)[] = [];
    for (const { name } of screen.getAllByRole('button', { name: /^Scan this/ }).map((each) => ({
      name: each.getAttribute('aria-label') ?? '',
    }))) {
      await press(name);
      codes.push(readCode(scanned()));
    }
    expect(codes).toEqual([
      'LRK-G1',
      'BG710/19309',
      'SNW-P2',
      'BIN:BASE STORE:C-04',
      'SEAL-70-90-10',
      'NEW-LABEL-0815',
    ]);
  });

  it('have a damaged one among them, which no scanner takes', async () => {
    await press('Scan a damaged one');
    expect(readCode(scanned())).toBeNull();
  });

  it('are drawn, with what they say in words', () => {
    expect(screen.getAllByRole('img', { name: /^QR code http/ }).length).toBeGreaterThan(1);
    expect(screen.getAllByRole('img', { name: /^Code 128/ }).length).toBeGreaterThan(1);
  });
});
