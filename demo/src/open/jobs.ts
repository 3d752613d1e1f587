import type { HoldReason, Urgency, WorkKind } from '@oilcan/core';

/** A job that is open when the demo starts, written out by hand. */
export interface OpenJob {
  readonly asset: string;
  readonly title: string;
  readonly reason: string;
  readonly kind: WorkKind;
  readonly urgency: Urgency;
  readonly craft: string;
  /** Days from today and hour of the day. */
  readonly due: readonly [day: number, hour: number] | null;
  readonly minutes: number;
  /** Person ids, or the id of a crew. */
  readonly people: readonly string[];
  readonly crew?: string;
  /** Keys of the hazard list. */
  readonly hazards: readonly string[];
  /** Number and thousandths. */
  readonly kit: readonly (readonly [number: string, thousandths: number])[];
  /** `?` wants a verdict, `#point` a number at that measuring point. */
  readonly steps: readonly string[];
  /** So many steps are done already, by the first person. */
  readonly done?: number;
  readonly held?: readonly [reason: HoldReason, note: string];
  readonly handedBack?: string;
  readonly notes?: readonly (readonly [person: string, text: string])[];
}

const rotating = 'rotating';
const height = 'height';
const pressure = 'pressure';
const voltage = 'voltage';
const rope = 'rope';
const heat = 'heat';
const diesel = 'diesel';

export const openJobs: readonly OpenJob[] = [
  {
    asset: 'lark-gearbox', title: 'Gearbox output seal weeping oil', kind: 'corrective', urgency: 'now', craft: 'mechanical', due: [-1, 16], minutes: 210,
    reason: 'Puddle under the coupling again after the weekend. Lark runs at 3 m/s until it is dry.', people: ['ines'],
    hazards: [rotating, rope, heat], kit: [['SEAL-70-90-10', 1_000], ['SLEEVE-70', 1_000], ['OIL-VG220', 4_000], ['CONS-RAGS', 1_000]],
    steps: ['Drain to below the seal, keep a sample', 'Pull the coupling hub, mark its position', '?Shaft where the lip runs', 'Fit seal, lip towards the oil', 'Hub on, bolts to 210 N·m crosswise', '#lark-gearbox-level', 'Run 30 min at full speed', '?Dry after the run'],
    notes: [['jonas', 'Puddle under the coupling again, about 20 cm. Catch tray is under it.']],
  },
  {
    asset: 'lark-service-brake', title: 'Service brake lining below 5 mm', kind: 'corrective', urgency: 'shift', craft: 'mechanical', due: [0, 16], minutes: 150,
    reason: 'Left pair measured 4.7 mm at the monthly check; alert is 5 mm.', people: ['ines'], hazards: [rotating, rope],
    kit: [['LINING-SB40', 4_000], ['CONS-CLEANER', 2_000]],
    steps: ['Rope on the stop, Lark locked out', 'Take off both guards', 'Change all four linings', '?Disc surface', 'Air gap 0.8 mm', '#lark-service-brake-lining', '?Three test stops within the limits'],
  },
  {
    asset: 'juniper', title: 'Fortnightly station inspection, Juniper', kind: 'inspection', urgency: 'shift', craft: 'mechanical', due: [0, 17], minutes: 60,
    reason: 'Due every 14 days.', people: [], crew: 'crew-rope', hazards: [rotating], kit: [],
    steps: ['?Stop buttons and gates', '?Bullwheel and scraper', '?Wind gauge plausible', 'Log book signed'],
  },
  {
    asset: 'gun-14', title: 'Snow gun 14: valve sticks open', kind: 'corrective', urgency: 'week', craft: 'hydraulics', due: [2, 12], minutes: 60,
    reason: 'Keeps running after the stop command; hydrant shut by hand.', people: ['mira', 'pavel'], hazards: [pressure, voltage],
    kit: [['VALVE-GUN-DN32', 1_000], ['ORING-30-3', 2_000]],
    steps: ['Hydrant shut and drained', 'Actuator off, spindle by hand', '?Seat and disc', 'Valve in, three cycles', 'Hydrant open, no drip'], done: 3,
    notes: [['pavel', 'Actuator is fine, gets 24 V and turns. It is the disc.']],
  },
  {
    asset: 'pump-2', title: 'Pump 2 shaft seal sprays under load', kind: 'corrective', urgency: 'now', craft: 'hydraulics', due: [0, 14], minutes: 240,
    reason: 'Spray at 41 bar, bearing at the drive end 9 K warmer than last week. Pump is off.', people: ['mira'], hazards: [rotating, pressure, voltage],
    kit: [['PUMP-SEALKIT-80', 1_000], ['GASKET-FLANGE-DN80', 2_000], ['GREASE-LGEP2', 80]],
    steps: ['Locked out at the switchboard, tested dead', 'Suction and pressure side shut, drained', 'Coupling off, runout below 0.05 mm', '?Seal chamber', 'Kit fitted', 'Coupling aligned', '#pump-2-pressure', '#pump-2-vib', '?Tight after 20 min'],
  },
  {
    asset: 'lark-t3', title: 'Tower 3: new bracket for the rope switch, check after a year', kind: 'inspection', urgency: 'week', craft: 'electrical', due: [3, 15], minutes: 70,
    reason: 'The stiffened bracket has held; look at welds and gap once more.', people: ['pavel'], hazards: [height, rope], kit: [],
    steps: ['?Welds of the bracket', '?Gap 2 mm, cold and warm', '?Plug dry'],
  },
  {
    asset: 'lark-control', title: 'Safety relay K14 drops out', kind: 'corrective', urgency: 'now', craft: 'electrical', due: [0, 11], minutes: 60,
    reason: 'Line stopped twice before nine, circuit 4, closed again by itself.', people: ['pavel'], hazards: [voltage],
    kit: [['REL-SAFE-3', 1_000], ['FUSE-6A', 2_000]],
    steps: ['Cabinet locked out, tested dead', '?Terminals of row 4', 'Relay changed', 'Circuit 4 tested from every stop button'],
  },
  {
    asset: 'lark-tension', title: 'Tensioning pump cycles every six minutes', kind: 'corrective', urgency: 'shift', craft: 'hydraulics', due: [0, 18], minutes: 120,
    reason: 'Usually once an hour. Wet fitting on the rod side.', people: ['mira'], hazards: [pressure, rope],
    kit: [['HOSE-DN16-1200', 1_000], ['OIL-HVLP32', 6_000], ['ORING-22-2.5', 2_000]],
    steps: ['Rope on the mechanical stop', 'Pressure released, gauge at zero', 'Hose changed, clamp padded', 'Bled twice', '#lark-tension-pressure', '?No drop in 30 min'],
  },
  {
    asset: 'lark-grips', title: 'Grip 41 below its clamping force', kind: 'corrective', urgency: 'shift', craft: 'rope', due: [0, 15], minutes: 90,
    reason: 'Force check showed 28.6 kN twice; cabin 41 is on the siding.', people: ['jonas'], hazards: ['spring'],
    kit: [['SPRING-DT108-S', 2_000], ['GRIP-BUSH-28', 2_000]],
    steps: ['Grip on the bench, spring relaxed with the fixture', '?Lever and pin', 'Spring pair changed', '#lark-grips-force', 'Tag and hang back'],
  },
  {
    asset: 'lark-cabins', title: 'Cabin 17: door stays ajar', kind: 'corrective', urgency: 'shift', craft: 'rope', due: [0, 12], minutes: 45,
    reason: 'Door check at the base exit stopped the line at 08:10.', people: ['jonas'], hazards: [], kit: [['DOOR-ROLLER', 2_000], ['DOOR-CABLE', 1_000]],
    steps: ['?Rail and rollers', 'Cable set with 2 mm of play', 'Ten cycles without a bang'], done: 1,
  },
  {
    asset: 'lark-standby', title: 'Standby drive test run', kind: 'preventive', urgency: 'week', craft: 'mechanical', due: [1, 16], minutes: 60,
    reason: 'Due every 30 days.', people: ['ines'], hazards: [diesel, rotating], kit: [['OIL-15W40', 500]],
    steps: ['#lark-standby-battery', 'Run 30 min under load', '?Oil, coolant, belts'],
  },
  {
    asset: 'lark-conveyor-base', title: 'Tyre 52 loses air', kind: 'corrective', urgency: 'week', craft: 'mechanical', due: [1, 12], minutes: 55,
    reason: 'Third time pumped up this week. Cabins hesitate in the slow zone.', people: ['ines'], hazards: [rotating], kit: [['TYRE-4.00-8', 1_000], ['TUBE-4.00-8', 1_000]],
    steps: ['Conveyor locked out', 'Wheel off, tube out', '?Rim and valve hole', 'Wheel on, 4.5 bar'],
  },
  {
    asset: 'pocket-brake', title: 'Brake test, Pocket', kind: 'inspection', urgency: 'week', craft: 'mechanical', due: [4, 12], minutes: 35,
    reason: 'Due every 60 days.', people: ['ines'], hazards: [rotating], kit: [], steps: ['#pocket-brake-lining', '?Run-back distance'],
  },
  {
    asset: 'juniper-gearbox', title: 'Juniper gearbox: oil change before the season', kind: 'preventive', urgency: 'week', craft: 'mechanical', due: [5, 16], minutes: 150,
    reason: 'Oil is three seasons old; the last sample showed 18/16/13.', people: ['ines', 'jonas'], hazards: [rotating, heat], kit: [['OIL-VG220', 64_000], ['GASKET-COVER-450', 1_000], ['FLT-BREATHER', 1_000]],
    steps: ['Drain warm, weigh it', '?Magnet plug', 'Breather changed', 'Fill to the mark', 'Run 20 min, check again'], held: ['part', 'Only 41 L in the drum, delivery on Thursday.'], done: 1,
  },
  {
    asset: 'lark-motor', title: 'Main motor: ordered brushes to be fitted', kind: 'improvement', urgency: 'free', craft: 'electrical', due: [9, 16], minutes: 90,
    reason: 'Brushes of the new grade are in; the maker expects a third less dust.', people: ['pavel'], hazards: [voltage, rotating], kit: [],
    steps: ['Locked out, tested dead', 'Twelve brushes changed, bedded in', '?Slip ring surface'],
  },
  {
    asset: 'juniper-chairs', title: 'Chair 63: bar hangs a hand above the stop', kind: 'corrective', urgency: 'week', craft: 'rope', due: [1, 17], minutes: 40,
    reason: 'Attendant took it out of the counting.', people: [], crew: 'crew-rope', hazards: [height], kit: [['SEAT-BAR-BUSH', 2_000]], steps: ['Bushes changed, greased', '?Bar closes by itself'],
  },
  {
    asset: 'lark-t5', title: 'Knock at tower 5 with every grip', kind: 'corrective', urgency: 'shift', craft: 'rope', due: [-2, 16], minutes: 130,
    reason: 'Heard from cabin 8 by Tess; liner rubber lies in the snow below.', people: ['jonas', 'ines'], hazards: [height, rope, rotating], kit: [['LINER-420', 2_000], ['BRG-6308', 1_000]],
    steps: ['Harness checked by a mate', 'Rope lifted off and secured', '?Liners of all six sheaves', 'Liners changed', '?Alignment with the laser', 'Rope laid back, slow run'],
  },
  {
    asset: 'mast', title: 'Wind at the ridge reads low', kind: 'corrective', urgency: 'week', craft: 'electrical', due: [2, 16], minutes: 120,
    reason: '8 m/s less than the tower anemometer in the same gust.', people: ['pavel'], hazards: [height], kit: [['SENS-ANEMO', 1_000]], steps: ['?Cups turn freely', 'Sensor changed', 'Values compared by hand for 20 min'],
  },
  {
    asset: 'gun-9', title: 'Snow gun 9: one-sided spray', kind: 'corrective', urgency: 'free', craft: 'hydraulics', due: [6, 16], minutes: 35,
    reason: 'Slush under the gun at 5 below zero.', people: ['mira'], hazards: [pressure], kit: [['NOZ-W-06', 3_000], ['NOZ-NUC-1', 1_000]], steps: ['Nozzles out and rinsed', '?Ring strainer', 'Spray even all round'],
  },
  {
    asset: 'lark-winch', title: 'Evacuation winch test', kind: 'inspection', urgency: 'week', craft: 'rope', due: [0, 16], minutes: 45,
    reason: 'Due every 45 days.', people: ['jonas'], hazards: [rope, diesel], kit: [], steps: ['?Brake holds test load', 'Rope paid out and wound', '?Harnesses counted and sealed'], handedBack: 'The seal number of harness 7 is missing in the protocol.', done: 3,
  },
  {
    asset: 'compressor', title: 'Compressor outlet creeps towards 95 °C', kind: 'corrective', urgency: 'week', craft: 'hydraulics', due: [3, 12], minutes: 80,
    reason: 'Two kelvin a week since October.', people: ['mira'], hazards: [heat, pressure], kit: [['FLT-SEP-75', 1_000], ['FLT-AIR-75', 1_000]], steps: ['Pressure off, locked out', '?Cooler', 'Separator and filter changed', '#compressor-temp'],
  },
  {
    asset: 'pocket-tows', title: 'Tow hanger 22 does not wind in', kind: 'corrective', urgency: 'free', craft: 'rope', due: null, minutes: 50,
    reason: 'Hangs on the ground after the exit; taken off.', people: [], crew: 'crew-rope', hazards: ['spring'], kit: [['GRIP-ROLLER', 1_000]], steps: ['Spring housing opened in the vice', '?Spring and guide roller', 'Rewound with six turns'],
  },
];

/** What endangers people at work here, and what is done about it. */
export const hazardList: Readonly<Record<string, readonly [hazard: string, precaution: string]>> = {
  [rotating]: ['Drive can start by remote command', 'Lock out at the main switch, own padlock, try to start'],
  [height]: ['Fall from the platform', 'Harness and two lanyards, a mate in sight'],
  [pressure]: ['Oil or water under pressure', 'Shut, release, gauge at zero; never feel for a leak by hand'],
  [voltage]: ['Live parts at 400 V and above', 'Lock out, test dead at the place of work'],
  [rope]: ['The haul rope can move the drive', 'Rope on the mechanical stop, emergency brake applied'],
  [heat]: ['Oil and housings above 60 °C', 'Gloves, let it cool for an hour'],
  [diesel]: ['Exhaust in a closed room', 'Doors open, extraction on'],
  spring: ['Spring under preload', 'Only in the fixture, never with bare pliers'],
};
