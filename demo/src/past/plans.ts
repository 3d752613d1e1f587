import type { WorkKind } from '@oilcan/core/orders/work';

/** Planned work that comes round again and again. */
export interface RoundPlan {
  readonly asset: string;
  readonly everyDays: number;
  readonly title: string;
  readonly reason: string;
  readonly kind: Extract<WorkKind, 'preventive' | 'inspection'>;
  readonly trade: string;
  readonly minutes: number;
  /** Consumables used: number, thousandths. */
  readonly uses?: readonly (readonly [number: string, thousandths: number])[];
  readonly steps: readonly string[];
}

const plan = (
  asset: string,
  everyDays: number,
  title: string,
  kind: RoundPlan['kind'],
  trade: string,
  minutes: number,
  steps: readonly string[],
  uses: RoundPlan['uses'] = [],
): RoundPlan => ({
  asset,
  everyDays,
  title,
  kind,
  trade,
  minutes,
  steps,
  uses,
  reason: `Due every ${everyDays} days.`,
});

/** What is planned, with its steps as in `StepPlan`. */
export const roundPlans: readonly RoundPlan[] = [
  plan('lark', 7, 'Weekly station inspection, Lark', 'inspection', 'mechanical', 75, [
    '?Stop buttons and gates, base',
    '?Stop buttons and gates, top',
    '?Rope guides and deflection sheaves',
    '?Guards and covers in place',
    'Log book signed',
  ]),
  plan('lark-grips', 7, 'Grip inspection, lot of 8', 'inspection', 'rope', 90, [
    '?Jaw wear with the gauge',
    '?Springs, no cracks',
    '?Rollers turn freely',
    '#lark-grips-force',
  ]),
  plan(
    'lark-gearbox',
    30,
    'Monthly gearbox check, Lark',
    'preventive',
    'mechanical',
    60,
    ['#lark-gearbox-level', '#lark-gearbox-temp', '#lark-gearbox-vib', '?Seals and flanges dry', 'Breather cleaned'],
    [['CONS-RAGS', 1_000]],
  ),
  plan('lark-motor', 60, 'Motor check, Lark', 'preventive', 'electrical', 70, [
    '#lark-motor-vib',
    '#lark-motor-insulation',
    '?Brushes and filter mat',
    'Terminal box clean and dry',
  ]),
  plan('lark-service-brake', 30, 'Brake test and lining check, Lark', 'inspection', 'mechanical', 50, [
    '#lark-service-brake-lining',
    '?Three stops within the limits',
    'Protocol filed',
  ]),
  plan('lark-emergency-brake', 30, 'Emergency brake test, Lark', 'inspection', 'hydraulics', 55, [
    '#lark-emergency-brake-pressure',
    '?Release and apply time',
    'Protocol filed',
  ]),
  plan(
    'lark-standby',
    30,
    'Standby drive test run',
    'preventive',
    'mechanical',
    60,
    ['#lark-standby-battery', 'Run 30 min under load', '?Oil, coolant, belts'],
    [['OIL-15W40', 500]],
  ),
  plan('lark-tension', 30, 'Tensioning check, Lark', 'preventive', 'hydraulics', 45, [
    '#lark-tension-pressure',
    '#lark-tension-temp',
    '?Hoses and rod',
  ]),
  plan('lark-conveyor-base', 30, 'Tyre pressure round, base', 'preventive', 'mechanical', 50, [
    '#lark-conveyor-base-pressure',
    '?Tread and side walls',
    '?Belts between the tyres',
  ]),
  plan('lark-conveyor-top', 30, 'Tyre pressure round, top', 'preventive', 'mechanical', 50, [
    'Pressure of every tyre at 4.5 bar',
    '?Tread and side walls',
    '?Belts between the tyres',
  ]),
  plan('lark-cabins', 30, 'Door and suspension check, lot of 16', 'inspection', 'rope', 120, [
    '?Doors open and close',
    '?Suspension pins and split pins',
    '?Windows, benches, ski racks',
  ]),
  plan('lark-winch', 45, 'Evacuation winch test', 'inspection', 'rope', 45, [
    '?Brake holds test load',
    'Rope paid out and wound',
    '?Harnesses counted and sealed',
  ]),
  plan('juniper', 14, 'Fortnightly station inspection, Juniper', 'inspection', 'mechanical', 60, [
    '?Stop buttons and gates',
    '?Bullwheel and scraper',
    'Log book signed',
  ]),
  plan('juniper-gearbox', 45, 'Gearbox check, Juniper', 'preventive', 'mechanical', 45, [
    '#juniper-gearbox-temp',
    '#juniper-gearbox-vib',
    '?Seals and flanges dry',
  ]),
  plan('juniper-service-brake', 30, 'Brake test and lining check, Juniper', 'inspection', 'mechanical', 45, [
    '#juniper-service-brake-lining',
    '?Three stops within the limits',
  ]),
  plan('juniper-tension', 45, 'Tensioning check, Juniper', 'preventive', 'hydraulics', 40, [
    '#juniper-tension-pressure',
    '?Hoses and rod',
  ]),
  plan(
    'pocket',
    30,
    'Monthly check, Pocket',
    'preventive',
    'mechanical',
    60,
    ['?Stop rope and gates', '?Tow hangers and recoils', 'Drive greased'],
    [['GREASE-LGEP2', 250]],
  ),
  plan('pocket-brake', 60, 'Brake test, Pocket', 'inspection', 'mechanical', 35, [
    '#pocket-brake-lining',
    '?Run-back distance',
  ]),
  plan(
    'pump-1',
    30,
    'Pump check, pump 1',
    'preventive',
    'hydraulics',
    45,
    ['#pump-1-pressure', '#pump-1-vib', '?Seal drips under 1 a second', 'Bearings greased'],
    [['GREASE-LGEP2', 80]],
  ),
  plan(
    'pump-2',
    30,
    'Pump check, pump 2',
    'preventive',
    'hydraulics',
    45,
    ['#pump-2-pressure', '#pump-2-vib', '?Seal drips under 1 a second', 'Bearings greased'],
    [['GREASE-LGEP2', 80]],
  ),
  plan('compressor', 45, 'Compressor service', 'preventive', 'hydraulics', 60, [
    '#compressor-temp',
    'Condensate drained',
    '?Belts and cooler',
  ]),
  plan('mast', 90, 'Weather mast check', 'inspection', 'electrical', 90, [
    '?Anemometer turns freely',
    '?Heater draws current',
    'Values compared by hand',
  ]),
  ...[1, 2, 3, 4, 5, 6].map((tower) =>
    plan(`lark-t${tower}`, 90, `Tower round, Lark tower ${tower}`, 'inspection', 'rope', 50, [
      '?Liners above the mark',
      '?Sheaves turn, no play',
      '?Rope catchers and switches',
      'Ladder and platform free of ice',
    ]),
  ),
  ...[1, 2, 3, 4].map((tower) =>
    plan(`juniper-t${tower}`, 120, `Tower round, Juniper tower ${tower}`, 'inspection', 'rope', 45, [
      '?Liners above the mark',
      '?Sheaves turn, no play',
      '?Rope catchers and switches',
    ]),
  ),
  ...Array.from({ length: 24 }, (_, index) =>
    plan(
      `gun-${index + 1}`,
      330,
      `Season service, snow gun ${index + 1}`,
      'preventive',
      'hydraulics',
      55,
      ['Nozzles taken out and cleaned', '?Valve opens and shuts', 'Hydrant drained', 'Oscillation greased'],
      [['GREASE-LGEP2', 60]],
    ),
  ),
];
