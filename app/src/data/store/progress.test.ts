import { aWorkOrder, smallWorks } from '@oilcan/core/testing';
import { bringFiles } from '../../features/recording/attachments';
import { TestWorks } from '../../testing/works';
import { bringFile } from '../files/bring-file';
import { useProgress } from './progress';
import { usePhone } from './store';

jest.mock('../files/bring-file', () => ({ bringFile: jest.fn() }));

const waiting = (...ids: string[]): void => usePhone.setState({ pending: new Set(ids) });

describe('a long way out', () => {
  it('is counted from when the first waited until none does', () => {
    waiting('a', 'b', 'c');
    expect(useProgress.getState().gone).toBe(0);
    waiting('b', 'c');
    waiting('c', 'd');
    expect(useProgress.getState().gone).toBe(2);
    waiting();
    expect(useProgress.getState().gone).toBe(0);
  });

  it('says of many files how many are kept, until all are, or one could not be', async () => {
    const works = await TestWorks.open(smallWorks());
    const said: unknown[] = [];
    jest.mocked(bringFile).mockImplementation(async (_, { name }) => {
      said.push(useProgress.getState().bringing);
      if (name === 'c') throw new Error('No space');
      return name === 'a' ? 'Not a picture.' : null;
    });
    const files = ['a', 'b', 'c'].map((name) => new File([], name));
    await expect(bringFiles(aWorkOrder(), files)).rejects.toThrow('No space');
    expect(said).toEqual([
      { kept: 0, of: 3 },
      { kept: 0, of: 3 },
      { kept: 1, of: 3 },
    ]);
    expect(useProgress.getState().bringing).toBeNull();
    await works.close();
  });
});
