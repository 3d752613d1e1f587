import { aWorkOrder } from '@oilcan/core/testing';
import { madeWords } from './made-work';

const mine = aWorkOrder({ number: 'W-7', personIds: ['ines' as never], crewId: null });

describe('what is said of work that was made', () => {
  it('is its number and what became of it', () => {
    expect(madeWords(mine, 'raised')).toBe('W-7 is raised.');
    expect(madeWords(mine, 'on your list')).toBe('W-7 is on your list.');
  });

  it('says that nobody has it', () => {
    expect(madeWords({ ...mine, personIds: [] }, 'planned')).toBe('W-7 is planned. Nobody has it yet.');
    expect(madeWords({ ...mine, personIds: [], crewId: 'rope' as never }, 'planned')).toBe('W-7 is planned.');
  });

  it('says that it waits for a lead, whoever has it', () => {
    const waits = { ...mine, goAhead: { givenBy: null, at: null } as never };
    expect(madeWords(waits, 'planned')).toBe('W-7 is planned, and waits for a lead to let it start.');
  });

  it('claims no number that is not there', () => {
    expect(madeWords(undefined, 'raised')).toBe('It is raised.');
  });
});
