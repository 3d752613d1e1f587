import { Once } from './once';

let at: number;
let count: number;
let once: Once<number>;
const act = () => Promise.resolve((count += 1));
beforeEach(() => {
  [at, count] = [0, 0];
  once = new Once(() => at);
});

describe('the same asked for twice', () => {
  it('is done once while it is under way and just after, and again later', async () => {
    const [first, second] = [once.do('a', act, () => true), once.do('a', act, () => true)];
    expect(await Promise.all([first, second])).toEqual([1, 1]);
    at = 349;
    expect(await once.do('a', act, () => true)).toBe(1);
    at = 350;
    expect(await once.do('a', act, () => true)).toBe(2);
  });

  it('is done again after something else was done', async () => {
    for (const what of ['tick', 'take back', 'tick']) await once.do(what, act, () => true);
    expect(count).toBe(3);
  });

  it('is another thing beside it, and can be tried again at once where it was refused or failed', async () => {
    expect(await once.do('a', act, () => false)).toBe(1);
    expect(await once.do('a', act, () => false)).toBe(2);
    expect(await once.do('b', act, () => true)).toBe(3);
    await expect(
      once.do(
        'c',
        () => Promise.reject(new Error('no')),
        () => true,
      ),
    ).rejects.toThrow('no');
    expect(await once.do('c', act, () => true)).toBe(4);
  });
});
