import { addressBefore, depthOf, keepDepth, trailAfter, useTrail } from './trail';

const trailOf = (...addresses: string[]): readonly string[] =>
  addresses.reduce<readonly string[]>((trail, address) => trailAfter(trail, address), []);

describe('the way back', () => {
  it('is what somebody came through, and ends at a place', () => {
    expect(trailOf('/plant', '/shift', '/shift/w-1', '/plant/past/gearbox?said=failures', '/shift/w-0')).toEqual([
      '/shift',
      '/shift/w-1',
      '/plant/past/gearbox?said=failures',
      '/shift/w-0',
    ]);
    expect(trailOf('/shift', '/shift/w-1', '/plant')).toEqual(['/plant']);
  });

  it('grows shorter when somebody goes back', () => {
    expect(trailOf('/shift', '/shift/w-1', '/plant/gearbox', '/shift/w-1')).toEqual(['/shift', '/shift/w-1']);
  });

  it('counts what differs only in its search as the same view, as it was last', () => {
    expect(trailOf('/shift', '/plant/past/g', '/plant/past/g?with=place', '/shift/w-0')).toEqual([
      '/shift',
      '/plant/past/g?with=place',
      '/shift/w-0',
    ]);
  });

  it('does not lead back through what only led on', () => {
    expect(trailOf('/shift', '/scan', '/scan?code=LRK-G1', '/plant/gearbox')).toEqual(['/shift', '/plant/gearbox']);
  });

  it('can leave out a view that is done with', () => {
    const trail = trailOf('/shift', '/shift/w-1', '/raise?asset=gearbox', '/raise/incident?asset=gearbox');
    expect(addressBefore(trail)).toBe('/raise?asset=gearbox');
    expect(addressBefore(trail, '/raise')).toBe('/shift/w-1');
    expect(addressBefore(trailOf('/raise/incident'), '/raise')).toBeUndefined();
  });

  it('does not grow without end', () => {
    const machines = Array.from({ length: 100 }, (_, index) => `/plant/m-${index}`);
    expect(trailOf(...machines).length).toBeLessThan(50);
    expect(trailOf(...machines).at(-1)).toBe('/plant/m-99');
  });
});

describe('how far down something was scrolled', () => {
  const { visit } = useTrail.getState();

  it('is kept for what was come through, and for a place', () => {
    visit('/shift');
    keepDepth('/shift', 700);
    visit('/shift/w-1');
    keepDepth('/shift/w-1', 300);
    visit('/plant/document/manual');
    visit('/shift/w-1');
    expect(depthOf('/shift/w-1')).toBe(300);
    visit('/shift');
    expect(depthOf('/shift')).toBe(700);
  });

  it('is forgotten of what was left', () => {
    visit('/shift/w-1');
    keepDepth('/shift/w-1', 300);
    visit('/shift');
    expect(depthOf('/shift/w-1')).toBe(0);
  });
});
