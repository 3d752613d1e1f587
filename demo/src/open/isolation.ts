import type { IsolationPoint, KitTool } from '@oilcan/core/orders/work';

const mainSwitch: IsolationPoint = {
  id: 'main-switch',
  energy: 'electrical',
  device: 'Main switch Q1, drive cabinet',
  release: null,
  test: 'Try to start from the panel',
};
const ropeStop: IsolationPoint = {
  id: 'rope-stop',
  energy: 'mechanical',
  device: 'Rope on the mechanical stop',
  release: 'Emergency brake applied, then released by hand a finger wide',
  test: 'Coupling does not turn with the bar',
};
const brakePressure: IsolationPoint = {
  id: 'brake-pressure',
  energy: 'hydraulic',
  device: 'Ball valve BV2 at the brake unit',
  release: 'Lower the pressure with the hand valve',
  test: 'Gauge at zero',
};
const tensionValve: IsolationPoint = {
  id: 'tension-valve',
  energy: 'hydraulic',
  device: 'Ball valve V3, tensioning',
  release: 'Let accumulator A1 down to zero',
  test: 'Gauge M1 at zero',
};
const pumpSwitch: IsolationPoint = {
  id: 'pump-switch',
  energy: 'electrical',
  device: 'Load switch of pump 2, field 4',
  release: null,
  test: 'Tested dead at the terminals',
};
const pumpValves: IsolationPoint = {
  id: 'pump-valves',
  energy: 'water',
  device: 'Valves before and behind pump 2',
  release: 'Open the drain until it runs dry',
  test: 'Gauge at zero, drain open',
};

/** What is locked before working, by the key of the machine. */
export const isolationOfMachine: Readonly<Record<string, readonly IsolationPoint[]>> = {
  'lark-gearbox': [mainSwitch, ropeStop, brakePressure],
  'lark-service-brake': [mainSwitch, ropeStop],
  'pump-2': [pumpSwitch, pumpValves],
  'lark-tension': [ropeStop, tensionValve],
};

/** Tools that come back, by the title of the job. */
export const toolsOfJob: Readonly<Record<string, readonly KitTool[]>> = {
  'Gearbox output seal weeping oil': [
    { name: 'Torque wrench 40–400 N·m', count: 1 },
    { name: 'Three-arm puller', count: 1 },
    { name: 'Personal padlock', count: 3 },
    { name: 'Seal driver 90 mm', count: 1 },
  ],
  'Service brake lining below 5 mm': [
    { name: 'Torque wrench 40–400 N·m', count: 1 },
    { name: 'Feeler gauge', count: 1 },
    { name: 'Personal padlock', count: 2 },
  ],
  'Tyre 52 loses air': [{ name: 'Tyre lever', count: 2 }],
  'Pump 2 shaft seal sprays under load': [
    { name: 'Personal padlock', count: 2 },
    { name: 'Dial gauge with stand', count: 1 },
  ],
  'Tensioning pump cycles every six minutes': [{ name: 'Personal padlock', count: 2 }],
};
