import fc from 'fast-check';
import { idsWithin } from './within';

const row = <Parent extends string | null>(id: string, parentId: Parent) => ({ id, parentId });

describe('what is within a place or an asset', () => {
  it('is itself and everything below, however the rows come', () => {
    const rows = [row('room', 'station'), row('hut', null), row('shelf', 'room'), row('station', null)];
    expect([...idsWithin('station', rows)].sort()).toEqual(['room', 'shelf', 'station']);
    expect([...idsWithin('shelf', rows)]).toEqual(['shelf']);
    expect([...idsWithin('nowhere', rows)]).toEqual(['nowhere']);
  });

  it('ends also where rows go round in a circle', () => {
    expect([...idsWithin('a', [row('a', 'b'), row('b', 'a')])].sort()).toEqual(['a', 'b']);
  });

  it('has with everything all that lies below it', () => {
    const id = fc.integer({ min: 0, max: 12 }).map(String);
    fc.assert(
      fc.property(fc.array(fc.tuple(id, id)), (pairs) => {
        const rows = pairs.map(([child, parent]) => row(child, parent));
        const within = idsWithin('0', rows);
        for (const { id: child, parentId } of rows) if (within.has(parentId)) expect(within.has(child)).toBe(true);
      }),
    );
  });
});
