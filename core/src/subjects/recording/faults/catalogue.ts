import type { FailureMode } from './codes';

/** What can fail on a class of equipment, and how; common practice of ropeways and snow plants. The usual ones first. */
type ClassFaults = Readonly<Record<string, readonly FailureMode[]>>;

const drive: ClassFaults = {
  Bearing: ['NOI', 'VIB', 'OHE'],
  Brushes: ['SER', 'ERO'],
  Winding: ['OHE', 'BRD'],
  Fan: ['NOI', 'OHE'],
  Coupling: ['NOI', 'STD'],
  Encoder: ['AIR', 'ERO'],
};
const gearbox: ClassFaults = {
  'Output shaft seal': ['ELU'],
  'Input shaft seal': ['ELU'],
  'Flange or cover': ['ELU'],
  Bearing: ['NOI', 'VIB', 'OHE'],
  'Gear wheel': ['NOI', 'STD'],
  'Oil pump': ['LOO', 'ELU'],
  'Breather or filter': ['PLU'],
};
const brake: ClassFaults = {
  Lining: ['STD', 'SER', 'PDE'],
  Disc: ['STD', 'OHE'],
  Caliper: ['FTC', 'FTO', 'ELU'],
  Spring: ['STD', 'LOO'],
  'Hydraulic pressure': ['LOO', 'INL', 'ELU'],
  Switch: ['AIR', 'FTF'],
};
const hydraulics: ClassFaults = {
  Pump: ['NOI', 'LOO', 'ELU'],
  Hose: ['ELU', 'STD'],
  Cylinder: ['ELU', 'INL'],
  Valve: ['INL', 'FTO', 'FTC'],
  Filter: ['PLU'],
  Accumulator: ['LOO', 'INL'],
  'Pressure switch': ['AIR', 'PDE'],
};
const ropeAndSheaves: ClassFaults = {
  'Sheave liner': ['STD', 'NOI'],
  'Sheave bearing': ['NOI', 'OHE'],
  'Rope switch': ['UST', 'PDE', 'FTF'],
  'Rope catcher': ['STD'],
  'Ladder or platform': ['STD'],
  Rope: ['STD', 'VIB'],
};
const grip: ClassFaults = {
  'Clamping force': ['LOO', 'PDE'],
  Jaw: ['STD'],
  Spring: ['STD', 'LOO'],
  Roller: ['NOI', 'STD'],
};
const carrier: ClassFaults = {
  Door: ['FTC', 'FTO', 'NOI'],
  'Safety bar': ['FTC', 'STD'],
  Hanger: ['STD', 'NOI'],
  Seat: ['STD', 'SER'],
  Window: ['STD'],
};
const pump: ClassFaults = {
  'Shaft seal': ['ELP'],
  Bearing: ['NOI', 'VIB', 'OHE'],
  Impeller: ['LOO', 'VIB'],
  Coupling: ['VIB', 'STD'],
  Suction: ['PLU', 'LOO'],
  Gasket: ['ELP'],
};
const snowGun: ClassFaults = {
  Valve: ['FTO', 'FTC', 'ELP'],
  Nozzle: ['PLU', 'LOO'],
  Fan: ['VIB', 'NOI'],
  Heater: ['FTF'],
  Hose: ['ELP', 'STD'],
  'Wind sensor': ['AIR'],
};
const electrics: ClassFaults = {
  Relay: ['UST', 'FTF'],
  Contactor: ['FTO', 'OHE'],
  'Power supply': ['LOO', 'BRD'],
  Terminal: ['OHE', 'ERO'],
  'Safety circuit': ['UST'],
  Controller: ['ERO', 'BRD'],
  Cable: ['STD', 'ERO'],
};
const conveyor: ClassFaults = {
  Tyre: ['LOO', 'STD'],
  Belt: ['STD', 'NOI'],
  Bearing: ['NOI', 'OHE'],
  Drive: ['FTS', 'OHE'],
};
const engine: ClassFaults = {
  Starter: ['FTS'],
  Battery: ['LOO', 'FTS'],
  'Fuel supply': ['PLU', 'ELP'],
  Cooling: ['OHE', 'ELU'],
  Belt: ['STD', 'NOI'],
};
const instrument: ClassFaults = {
  Sensor: ['AIR', 'PDE', 'ERO'],
  Cable: ['ERO', 'STD'],
  Display: ['FTF'],
};
const compressor: ClassFaults = {
  'Air end': ['OHE', 'NOI', 'LOO'],
  Cooler: ['OHE', 'PLU', 'ELU'],
  'Intake filter': ['PLU'],
  'Minimum-pressure valve': ['INL', 'FTC'],
  Belt: ['STD', 'NOI'],
};

/** By class of equipment. A class that is not here has every mode, of the machine as a whole. */
export const faultCatalogue: Readonly<Record<string, ClassFaults>> = {
  'electric-motor': drive,
  gearbox,
  brake,
  'hydraulic-unit': hydraulics,
  'sheave-train': ropeAndSheaves,
  ropeway: ropeAndSheaves,
  winch: { ...ropeAndSheaves, ...brake },
  grip,
  carrier,
  pump,
  'cooling-tower': pump,
  'snow-gun': snowGun,
  'control-cabinet': electrics,
  conveyor,
  'combustion-engine': engine,
  instrument,
  compressor,
};
