/** What stands on the mountain, as a tree: a short key names each asset within it. */
export interface AssetPlan {
  readonly key: string;
  readonly tag: string;
  readonly name: string;
  readonly equipmentClass: string;
  readonly place: string;
  readonly site: 'lifts' | 'snow';
  readonly criticality: 1 | 2 | 3 | 4;
  /** Maker, model. All makers are invented. */
  readonly plate: readonly [maker: string, model: string];
  /** Year of entry into service. */
  readonly since: number;
  readonly ratings?: readonly (readonly [label: string, value: string])[];
  readonly parts?: readonly Omit<AssetPlan, 'site'>[];
}

/** Place key → name, parent key, site. */
export const placePlans: readonly (readonly [key: string, name: string, parent: string | null, site: 'lifts' | 'snow'])[] = [
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

const tower = (lift: string, tag: string, count: number, criticality: 1 | 2): Omit<AssetPlan, 'site'>[] =>
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

export const assetPlans: readonly AssetPlan[] = [
  {
    key: 'lark', tag: 'LRK', name: 'Lark gondola', equipmentClass: 'ropeway', place: 'base', site: 'lifts', criticality: 1,
    plate: ['Halden Seilwerk', 'GD8 detachable'], since: 2014,
    ratings: [['Capacity', '2,400 persons/h'], ['Speed', '6.0 m/s'], ['Length', '2,180 m'], ['Vertical', '742 m']],
    parts: [
      { key: 'lark-motor', tag: 'LRK-M1', name: 'Lark main motor', equipmentClass: 'electric-motor', place: 'top-drive', criticality: 1, plate: ['Ostrava Motoren', 'DX 355-4'], since: 2014, ratings: [['Power', '520 kW'], ['Speed', '1,485 1/min'], ['Voltage', '690 V']] },
      { key: 'lark-gearbox', tag: 'LRK-G1', name: 'Lark drive gearbox', equipmentClass: 'gearbox', place: 'top-drive', criticality: 1, plate: ['Brenner Getriebe', 'PK 3-710'], since: 2014, ratings: [['Ratio', '42.6 : 1'], ['Oil', '180 L, ISO VG 220'], ['Output', '34.8 1/min']] },
      { key: 'lark-service-brake', tag: 'LRK-B1', name: 'Lark service brake', equipmentClass: 'brake', place: 'top-drive', criticality: 1, plate: ['Brenner Getriebe', 'SB 2×40'], since: 2014, ratings: [['Braking torque', '2 × 8.4 kN·m'], ['Lining, new', '12 mm']] },
      { key: 'lark-emergency-brake', tag: 'LRK-B2', name: 'Lark emergency brake', equipmentClass: 'brake', place: 'top-drive', criticality: 1, plate: ['Brenner Getriebe', 'NB 4×60'], since: 2014, ratings: [['Release pressure', '110 bar']] },
      { key: 'lark-standby', tag: 'LRK-D2', name: 'Lark standby drive', equipmentClass: 'combustion-engine', place: 'top-drive', criticality: 2, plate: ['Karst Diesel', '6K-180'], since: 2014, ratings: [['Power', '180 kW'], ['Fuel', 'diesel, 300 L']] },
      { key: 'lark-control', tag: 'LRK-C1', name: 'Lark control cabinet', equipmentClass: 'control-cabinet', place: 'top-drive', criticality: 1, plate: ['Tauern Steuerungen', 'LC-9'], since: 2019 },
      { key: 'lark-tension', tag: 'LRK-H1', name: 'Lark hydraulic tensioning', equipmentClass: 'hydraulic-unit', place: 'base-drive', criticality: 1, plate: ['Hydra Nord', 'TU 250-45'], since: 2014, ratings: [['Pressure', '165 bar'], ['Oil', '240 L, HVLP 32'], ['Stroke', '4,500 mm']] },
      { key: 'lark-conveyor-base', tag: 'LRK-F1', name: 'Lark tyre conveyor, base', equipmentClass: 'conveyor', place: 'base-hall', criticality: 2, plate: ['Halden Seilwerk', 'RF 88'], since: 2014, ratings: [['Tyres', '88'], ['Tyre pressure', '4.5 bar']] },
      { key: 'lark-conveyor-top', tag: 'LRK-F2', name: 'Lark tyre conveyor, top', equipmentClass: 'conveyor', place: 'top-hall', criticality: 2, plate: ['Halden Seilwerk', 'RF 84'], since: 2014, ratings: [['Tyres', '84'], ['Tyre pressure', '4.5 bar']] },
      { key: 'lark-grips', tag: 'LRK-K0', name: 'Lark grips', equipmentClass: 'grip', place: 'base-hall', criticality: 1, plate: ['Halden Seilwerk', 'DT-108'], since: 2014, ratings: [['Count', '96'], ['Clamping force', '32 kN']] },
      { key: 'lark-cabins', tag: 'LRK-W0', name: 'Lark cabins', equipmentClass: 'carrier', place: 'base-hall', criticality: 2, plate: ['Kabinenbau Inn', 'Vista 8'], since: 2014, ratings: [['Count', '96'], ['Seats', '8']] },
      { key: 'lark-winch', tag: 'LRK-E1', name: 'Evacuation winch', equipmentClass: 'winch', place: 'mid-hall', criticality: 1, plate: ['Karst Diesel', 'BW-20'], since: 2014 },
      ...tower('lark', 'LRK', 6, 1),
    ],
  },
  {
    key: 'juniper', tag: 'JUN', name: 'Juniper chairlift', equipmentClass: 'ropeway', place: 'mid', site: 'lifts', criticality: 2,
    plate: ['Alpseil', 'C4-fix'], since: 2006, ratings: [['Capacity', '1,800 persons/h'], ['Speed', '2.3 m/s'], ['Length', '940 m']],
    parts: [
      { key: 'juniper-motor', tag: 'JUN-M1', name: 'Juniper main motor', equipmentClass: 'electric-motor', place: 'mid-hall', criticality: 2, plate: ['Ostrava Motoren', 'DX 280-4'], since: 2006, ratings: [['Power', '160 kW']] },
      { key: 'juniper-gearbox', tag: 'JUN-G1', name: 'Juniper drive gearbox', equipmentClass: 'gearbox', place: 'mid-hall', criticality: 2, plate: ['Brenner Getriebe', 'PK 2-450'], since: 2006, ratings: [['Ratio', '31.5 : 1'], ['Oil', '64 L, ISO VG 220']] },
      { key: 'juniper-service-brake', tag: 'JUN-B1', name: 'Juniper service brake', equipmentClass: 'brake', place: 'mid-hall', criticality: 1, plate: ['Brenner Getriebe', 'SB 1×30'], since: 2006, ratings: [['Lining, new', '10 mm']] },
      { key: 'juniper-tension', tag: 'JUN-H1', name: 'Juniper hydraulic tensioning', equipmentClass: 'hydraulic-unit', place: 'mid-hall', criticality: 2, plate: ['Hydra Nord', 'TU 120-28'], since: 2006, ratings: [['Pressure', '120 bar']] },
      { key: 'juniper-chairs', tag: 'JUN-W0', name: 'Juniper chairs and grips', equipmentClass: 'carrier', place: 'line-juniper', criticality: 2, plate: ['Alpseil', 'S4'], since: 2006, ratings: [['Count', '112']] },
      ...tower('juniper', 'JUN', 4, 2),
    ],
  },
  {
    key: 'pocket', tag: 'PKT', name: 'Pocket surface lift', equipmentClass: 'ropeway', place: 'meadow', site: 'lifts', criticality: 3,
    plate: ['Alpseil', 'SL-1'], since: 1998, ratings: [['Length', '310 m']],
    parts: [
      { key: 'pocket-motor', tag: 'PKT-M1', name: 'Pocket motor', equipmentClass: 'electric-motor', place: 'meadow', criticality: 3, plate: ['Ostrava Motoren', 'DX 160-4'], since: 1998, ratings: [['Power', '22 kW']] },
      { key: 'pocket-brake', tag: 'PKT-B1', name: 'Pocket service brake', equipmentClass: 'brake', place: 'meadow', criticality: 2, plate: ['Alpseil', 'BB-200'], since: 1998, ratings: [['Lining, new', '8 mm']] },
      { key: 'pocket-tows', tag: 'PKT-W0', name: 'Pocket tow hangers', equipmentClass: 'carrier', place: 'meadow', criticality: 4, plate: ['Alpseil', 'T-bar 2'], since: 1998, ratings: [['Count', '44']] },
    ],
  },
  {
    key: 'snow', tag: 'SNW', name: 'Snow plant', equipmentClass: 'snow-plant', place: 'pump-house', site: 'snow', criticality: 2,
    plate: ['Firn Technik', 'Central 2'], since: 2011,
    parts: [
      { key: 'pump-1', tag: 'SNW-P1', name: 'High-pressure pump 1', equipmentClass: 'pump', place: 'pump-house', criticality: 2, plate: ['Lech Pumpen', 'MH 80-9'], since: 2011, ratings: [['Flow', '80 L/s'], ['Head', '410 m'], ['Power', '400 kW']] },
      { key: 'pump-2', tag: 'SNW-P2', name: 'High-pressure pump 2', equipmentClass: 'pump', place: 'pump-house', criticality: 2, plate: ['Lech Pumpen', 'MH 80-9'], since: 2011, ratings: [['Flow', '80 L/s'], ['Head', '410 m'], ['Power', '400 kW']] },
      { key: 'feed-pump', tag: 'SNW-P3', name: 'Feed pump', equipmentClass: 'pump', place: 'pump-house', criticality: 3, plate: ['Lech Pumpen', 'NB 125'], since: 2011, ratings: [['Power', '45 kW']] },
      { key: 'compressor', tag: 'SNW-A1', name: 'Air compressor', equipmentClass: 'compressor', place: 'pump-house', criticality: 3, plate: ['Luftbau Ried', 'SC 75'], since: 2011, ratings: [['Pressure', '9 bar'], ['Power', '75 kW']] },
      { key: 'cooling', tag: 'SNW-K1', name: 'Cooling tower', equipmentClass: 'cooling-tower', place: 'pump-house', criticality: 3, plate: ['Firn Technik', 'KT 3'], since: 2015 },
      { key: 'mast', tag: 'SNW-X1', name: 'Weather mast', equipmentClass: 'instrument', place: 'ridge', criticality: 3, plate: ['Tauern Steuerungen', 'Aero 4'], since: 2018 },
      ...Array.from({ length: 24 }, (_, index) => ({
        key: `gun-${index + 1}`,
        tag: `SNW-S${String(index + 1).padStart(2, '0')}`,
        name: `Snow gun ${index + 1}`,
        equipmentClass: 'snow-gun',
        place: `lane-${1 + (index % 3)}`,
        criticality: 3 as const,
        plate: (index < 14 ? ['Firn Technik', 'F-40 fan'] : ['Firn Technik', 'L-9 lance']) as readonly [string, string],
        since: index < 14 ? 2011 : 2020,
        ratings: [['Water', index < 14 ? '8.5 L/s at 30 bar' : '4.0 L/s at 40 bar']] as const,
      })),
    ],
  },
];
