import { within } from './within';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

describe('what is asked within a time', () => {
  it('is given, and holds nothing up afterwards', async () => {
    await expect(within(20_000, () => Promise.resolve('here'))).resolves.toBe('here');
    expect(jest.getTimerCount()).toBe(0);
  });

  it('fails as it failed', async () => {
    await expect(within(20_000, () => Promise.reject(new Error('no line')))).rejects.toThrow('no line');
    expect(jest.getTimerCount()).toBe(0);
  });

  it('is broken off when it takes longer, also by somebody who does not hear of it', async () => {
    let heard: AbortSignal | undefined;
    const asked = within(20_000, (signal) => {
      heard = signal;
      return new Promise<string>(() => undefined);
    });
    const ended = expect(asked).rejects.toThrow('in time');
    await jest.advanceTimersByTimeAsync(19_999);
    expect(heard?.aborted).toBe(false);
    await jest.advanceTimersByTimeAsync(1);
    await ended;
    expect(heard?.aborted).toBe(true);
  });
});
