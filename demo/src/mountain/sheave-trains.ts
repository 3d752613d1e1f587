import type { AssetPlan } from './asset-plan';

/** The sheave trains of a lift, one on each tower. */
export const sheaveTrains = (lift: string, tag: string, count: number, criticality: 1 | 2): Omit<AssetPlan, 'site'>[] =>
  Array.from({ length: count }, (_, index) => ({
    key: `${lift}-t${index + 1}`,
    tag: `${tag}-T${String(index + 1).padStart(2, '0')}`,
    name: `${lift === 'lark' ? 'Lark' : 'Juniper'} tower ${index + 1} sheave train`,
    equipmentClass: 'sheave-train',
    place: `line-${lift}`,
    criticality,
    plate: ['Halden Seilwerk', index % 3 === 2 ? 'RB 8N-420' : 'RB 6T-420'] as const,
    since: lift === 'lark' ? 2014 : 2006,
    ratings: [
      ['Sheaves', index % 3 === 2 ? '8, compression' : '6, support'],
      ['Liner', '420 mm, rubber'],
    ],
  }));
