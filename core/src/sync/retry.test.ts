import { retryDelay } from './retry';

describe('the wait before another try', () => {
  it('doubles up to five minutes', () => {
    expect([1, 2, 3, 8, 9, 50].map((failures) => retryDelay(failures, 0.999_999))).toEqual([
      2_000, 4_000, 8_000, 256_000, 300_000, 300_000,
    ]);
  });

  it('is spread over its second half', () => {
    expect([0, 0.5].map((chance) => retryDelay(4, chance))).toEqual([8_000, 12_000]);
  });
});
