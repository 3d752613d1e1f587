/** Place key → name, parent key, site. */
export const placePlans: readonly (readonly [
  key: string,
  name: string,
  parent: string | null,
  site: 'lifts' | 'snow',
])[] = [
  ['base', 'Base station', null, 'lifts'],
  ['base-drive', 'Base drive house', 'base', 'lifts'],
  ['base-hall', 'Base boarding hall', 'base', 'lifts'],
  ['mid', 'Mid station', null, 'lifts'],
  ['mid-hall', 'Mid station hall', 'mid', 'lifts'],
  ['top', 'Top station', null, 'lifts'],
  ['top-drive', 'Top station, drive room', 'top', 'lifts'],
  ['top-hall', 'Top station hall', 'top', 'lifts'],
  ['line-lark', 'Lark line', null, 'lifts'],
  ['line-juniper', 'Juniper line', null, 'lifts'],
  ['meadow', 'Pocket meadow', 'base', 'lifts'],
  ['pump-house', 'Pump house', null, 'snow'],
  ['lane-1', 'Slope, lane 1', null, 'snow'],
  ['lane-2', 'Slope, lane 2', null, 'snow'],
  ['lane-3', 'Slope, lane 3', null, 'snow'],
  ['ridge', 'Ridge', null, 'snow'],
];
