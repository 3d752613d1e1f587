import { openParams } from './open-params';

describe('the parameters of what is open', () => {
  it('are those of the innermost view, and not those with which the application was loaded', () => {
    const plant = { params: { asset: 'gearbox' }, state: { index: 0, routes: [{ params: { place: 'top' } }] } };
    expect(openParams({ index: 0, routes: [{ params: { asset: 'gearbox' }, state: { routes: [plant] } }] })).toEqual({
      place: 'top',
    });
    expect(openParams({ routes: [{ state: { routes: [{ params: {} }, {}] } }] })).toEqual({});
    expect(openParams(undefined)).toEqual({});
  });

  it('are known before the view is drawn, and without what is not given', () => {
    const params = { screen: 'plant', params: { screen: '[asset]', params: { asset: 'gearbox', said: undefined } } };
    expect(openParams({ routes: [{ params }] })).toEqual({ asset: 'gearbox' });
    expect(openParams({ routes: [{ params: { screen: 'index' } }] })).toEqual({});
  });
});
