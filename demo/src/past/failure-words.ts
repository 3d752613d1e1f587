/** Pieces from which a technician's words about one kind of failure are put together. */
export interface FailureWords {
  readonly titles: readonly string[];
  readonly noticed: readonly string[];
  readonly found: readonly string[];
  readonly done: readonly string[];
}

/** `{a-b}` stands for a whole number from a to b. */
export const failureWords: Readonly<Record<string, FailureWords>> = {
  seal: {
    titles: [
      'Gearbox output seal weeping',
      'Oil under the output coupling',
      'Output seal leaks again',
      'Oil on the coupling guard',
    ],
    noticed: [
      'Puddle of about {10-40} cm under the coupling on the morning round.',
      'Oil mist on the coupling guard, level down {3-12} mm.',
      'Jonas saw drops on the floor by the output shaft.',
      'Catch tray half full after {2-5} days.',
    ],
    found: [
      'Lip hard and cracked on the lower half.',
      'Groove of {1-3} tenths where the lip runs.',
      'Garter spring had jumped off.',
      'Shaft scored where the lip runs, seal itself fairly new.',
      'Old lip worn flat all round.',
    ],
    done: [
      'New seal set {2-4} mm deeper so the lip runs on fresh shaft.',
      'Polished the shaft with 400 cloth, new seal, topped up {2-6} L.',
      'Fitted new seal, ran an hour at full speed, dry.',
      'Seal replaced; shaft wants a sleeve next time.',
    ],
  },
  lining: {
    titles: ['Service brake lining at its limit', 'Lining below {4-5} mm', 'Brake linings worn', 'Uneven brake lining'],
    noticed: [
      'Measured {3-4}.{1-9} mm at the monthly check.',
      'Stopping distance was {4-9} % longer than at handover.',
      'Wear indicator came on during the brake test.',
      'Brake dust on the disc guard, lining thin on one side.',
    ],
    found: [
      'Left pair {1-2} mm thinner than the right.',
      'Linings worn evenly, disc fine.',
      'Two linings glazed, one edge chipped.',
      'Upper calliper pin stiff, so one side did the work.',
    ],
    done: [
      'All linings changed, air gap set to 0.{6-9} mm, three test stops within limits.',
      'New linings bedded in with {8-15} stops, torque test passed.',
      'Changed linings, freed and greased the pin.',
      'Linings renewed, brake test protocol filed.',
    ],
  },
  tyre: {
    titles: [
      'Conveyor tyre {3-80} flat',
      'Tyre {3-80} worn to the cord',
      'Cabins bump at tyre {3-80}',
      'Tyre {3-80} loses air',
    ],
    noticed: [
      'Cabins hesitate in the slow zone.',
      'Attendant heard a slap on every cabin.',
      'Pressure round: tyre at {1-3}.{0-9} bar.',
      'Black rubber crumbs under the track.',
    ],
    found: [
      'Nail through the tread.',
      'Cord showing over {5-20} cm.',
      'Valve stem cracked at the base.',
      'Tube folded inside, chafed through.',
      'Just worn out, tread gone.',
    ],
    done: [
      'Tyre and tube changed, 4.5 bar.',
      'New tube, tread still good.',
      'Swapped the wheel complete, old one to the bench.',
      'Changed it between two cabins with the line in slow.',
    ],
  },
  grip: {
    titles: [
      'Grip {2-96} below its force',
      'Grip {2-96} fails the force test',
      'Grip {2-96}: spring tired',
      'Low clamping force, grip {2-96}',
    ],
    noticed: [
      'Force check at the coupling showed {27-29}.{0-9} kN twice.',
      'Test bench: {28-29}.{0-9} kN where 30 is the least.',
      'Grip was taken out by the force monitoring.',
      'Slip mark of {2-8} mm on the rope after the cabin.',
    ],
    found: [
      'Outer spring set by {2-5} mm.',
      'Spring fine, bush dry and tight.',
      'Hairline in the outer coil.',
      'Lever pin worn, spring below its length.',
    ],
    done: [
      'Spring pair changed, {31-33}.{0-9} kN on the bench.',
      'Bushes and pin renewed, regreased, back on the line.',
      'New springs, three tests in a row above 31 kN.',
      'Overhauled on the bench, tagged and hung back.',
    ],
  },
  pumpSeal: {
    titles: [
      'Pump 2 shaft seal drips',
      'Water at the pump 2 seal',
      'Pump 2 seal gone',
      'Spray from pump 2 seal housing',
    ],
    noticed: [
      'Drain channel running with {2-9} drops a second.',
      'Wet floor at the drive end, bearing temperature up {4-9} K.',
      'Spray under load, fine at idle.',
      'Seal water flow alarm in the night.',
    ],
    found: [
      'Seal faces grooved, grit in the chamber.',
      'Spring bellows cracked.',
      'Seal worn to the stop, as usual after a season.',
      'Rotating face chipped.',
    ],
    done: [
      'Seal kit fitted, shaft runout 0.0{3-8} mm, tight at 41 bar.',
      'New seal, flushed the chamber, strainer cleaned.',
      'Seal replaced, coupling realigned.',
      'Kit changed, ran {20-60} min, dry.',
    ],
  },
  ropeSwitch: {
    titles: [
      'Stop by rope position, tower 3',
      'Tower 3 rope switch trips',
      'Line stopped by tower 3 again',
      'Rope position fault on tower 3',
    ],
    noticed: [
      'Line stopped at {8-15}:{10-59} with rope in place.',
      'Third stop in gusts this week.',
      'Display showed T3 rope position, reset held.',
      'Trips when a full cabin passes.',
    ],
    found: [
      'Bracket swings in resonance with the train.',
      'Sensor gap {3-6} mm instead of 2.',
      'Plug wet inside.',
      'Nothing to see, gap right at the edge of its limit.',
    ],
    done: [
      'Gap set to 2 mm, screws marked.',
      'Sensor changed, plug dried and greased.',
      'Reset and watched {30-90} min, no trip.',
      'Bracket tightened, cable tied back.',
    ],
  },
  relay: {
    titles: [
      'Safety circuit drops out',
      'Unexplained stop, safety relay',
      'K{11-29} drops without cause',
      'Lark will not reset',
    ],
    noticed: [
      'Line off at {7-16}:{10-59}, circuit {2-7} open, closed again by itself.',
      'Reset only works at the third try.',
      'Relay chatters with the cabinet door shut.',
      'Diagnosis lamp blinks twice.',
    ],
    found: [
      'Contact {1-4} at {2-9} ohm.',
      'Terminal loose by half a turn.',
      'Relay runs hot, coil at {19-21} V.',
      'Fuse holder corroded.',
    ],
    done: [
      'Relay changed, circuit tested from every stop button.',
      'Retightened the whole row, tested.',
      'Fuse and holder renewed.',
      'Swapped for a new relay, old one kept for the maker.',
    ],
  },
  door: {
    titles: [
      'Cabin {2-96}: door does not close',
      'Cabin {2-96} door sticks',
      'Cabin {2-96} taken off, door',
      'Door of cabin {2-96} stays ajar',
    ],
    noticed: [
      'Attendant pushed it shut by hand {2-5} times.',
      'Door check at the exit stopped the line.',
      'Guest reported it at base.',
      'Closes with a bang, opens again in the curve.',
    ],
    found: [
      'Lower roller broken.',
      'Pull cable frayed to a few strands.',
      'Ice in the sill rail.',
      'Closing spring hooked off.',
      'Ski jammed the rail, bent by {2-6} mm.',
    ],
    done: [
      'Rollers changed, cabin back on the line.',
      'New cable, set with 2 mm of play.',
      'Rail straightened and dry-lubed.',
      'Spring replaced, closes in {2-3} s.',
    ],
  },
  hydraulicLeak: {
    titles: [
      'Tensioning loses oil',
      'Hose weeping at the tensioning',
      'Pump cycles too often at the tensioning',
      'Oil in the tray under the power unit',
    ],
    noticed: [
      'Pump starts every {4-15} min instead of every hour.',
      'Level down {8-25} mm since Monday.',
      'Wet fitting on the rod side.',
      'Smell of oil in the pit.',
    ],
    found: [
      'Hose chafed at the clamp.',
      'O-ring of the flange flattened.',
      'Fitting loose by a quarter turn.',
      'Fine crack at the crimp of the pressure hose.',
    ],
    done: [
      'Hose changed with the rope on the stop, bled, {160-168} bar holds.',
      'New O-rings, no drop in an hour.',
      'Tightened, cleaned, marked to watch.',
      'Hose and clamp renewed, tray emptied.',
    ],
  },
  battery: {
    titles: ['Standby drive does not start', 'Starter batteries weak', 'Standby: only clicks'],
    noticed: [
      'Monthly test run: starter turns slowly.',
      'Voltage {22-23}.{0-9} V before starting.',
      'Failed at the first start, came at the third.',
    ],
    found: [
      'One of two batteries at {10-11}.{0-9} V.',
      'Terminals white, cable warm.',
      'Charger fine, batteries {4-6} years old.',
    ],
    done: [
      'Both batteries changed, started three times.',
      'Terminals cleaned and greased, charged overnight.',
      'New pair, old ones to the collection.',
    ],
  },
  seat: {
    titles: [
      'Chair {3-112}: cushion torn',
      'Chair {3-112} bar hangs',
      'Chair {3-112}: seat loose',
      'Footrest of chair {3-112} bent',
    ],
    noticed: [
      'Seen from the ramp.',
      'Attendant took it out of the counting.',
      'Bar stays up a hand above the stop.',
      'Guest complained about a wet seat.',
    ],
    found: ['Foam soaked, seam open over {10-30} cm.', 'Bush worn oval.', 'Two screws missing.', 'Ski edge cut.'],
    done: [
      'New cushion.',
      'Bushes changed, greased.',
      'Screws with lock nuts.',
      'Swapped the seat, old one to the workshop.',
    ],
  },
  compressor: {
    titles: ['Compressor trips on temperature', 'Compressor too hot', 'Compressor outlet over {100-104} °C'],
    noticed: [
      'Tripped at {104-107} °C, twice in the night.',
      'Outlet climbs {2-4} K a week.',
      'Oil in the air at lane 2.',
    ],
    found: ['Separator loaded, {1}.{0-4} bar across it.', 'Intake filter black.', 'Cooler matted with larch needles.'],
    done: [
      'Separator and filter changed, {80-86} °C at full load.',
      'Cooler blown out and washed.',
      'Filter renewed, oil at the mark.',
    ],
  },
  mast: {
    titles: ['Wind reads zero', 'Weather mast drops out', 'Mast: wind differs from Lark top'],
    noticed: [
      '0.0 m/s since {2-6}:{10-59} in a storm.',
      'Values freeze for minutes.',
      '{5-12} m/s less than the tower anemometer.',
    ],
    found: ['Cup frozen solid, ring heater dead.', 'Bearing dry, starts only above 4 m/s.', 'Plug full of water.'],
    done: ['Sensor changed, compared by hand for 20 min.', 'Heater renewed, thawed.', 'Plug replaced and turned down.'],
  },
  tow: {
    titles: ['Tow hanger {1-44} does not wind in', 'Tow {1-44} slack', 'Hanger {1-44} hits the tower'],
    noticed: ['Hangs on the ground after the exit.', 'Rope end frayed.', 'Slow to come back.'],
    found: ['Spring housing full of ice.', 'Guide roller seized.', 'Rope jumped its drum.'],
    done: ['Thawed, dried, greased.', 'Roller changed.', 'Rewound with six turns of tension.'],
  },
  liner: {
    titles: [
      'Sheave liner worn',
      'Noise from the sheave train',
      'Liner torn on sheave {1-8}',
      'Sheave {1-8} runs rough',
    ],
    noticed: [
      'Knock with every grip, heard from the platform.',
      'Liner depth {2-5} mm at the tower round.',
      'Rubber on the snow under the tower.',
      'Sheave turns unevenly by hand.',
    ],
    found: [
      'Liner split over {5-15} cm.',
      'Worn to the mark on {2-4} sheaves.',
      'Bearing rough, liner fine.',
      'Liner walked off its seat.',
    ],
    done: [
      'Liners changed on two sheaves, rope laid back.',
      'Sheave swapped, alignment checked with the laser.',
      'Bearing and liner renewed.',
      'New liners, run in at half speed.',
    ],
  },
  gunValve: {
    titles: ['Water valve does not open', 'Valve sticks', 'Gun stays dry', 'Valve opens only half'],
    noticed: [
      'Start sequence stops at valve.',
      'Feedback says shut, {20-38} bar before it.',
      'Comes on the third try.',
      'No water although called at {17-22}:{10-59}.',
    ],
    found: [
      'Ice behind the disc.',
      'Spindle corroded, O-rings swollen.',
      'Actuator turns, coupling slips.',
      'Seat full of grit.',
    ],
    done: [
      'Thawed and blown out, works.',
      'Valve changed, drained the hydrant.',
      'New O-rings, spindle greased.',
      'Coupling pinned, three cycles.',
    ],
  },
  nozzle: {
    titles: ['Nozzles plugged', 'Snow too wet, nozzles', 'Poor spray on one side', 'Nozzle ring half dead'],
    noticed: [
      'Slush under the gun at {3-7} below zero.',
      'Spray one-sided.',
      'Flow {10-35} % low.',
      'Nucleator dribbles.',
    ],
    found: [
      '{2-9} nozzles with scale.',
      'Sand in the ring strainer.',
      'Nucleator iced up.',
      'Worn nozzles, holes oval.',
    ],
    done: [
      'Nozzles changed, strainer rinsed.',
      'Cleaned in vinegar, refitted.',
      'New nucleator, fine snow again.',
      'Blown out with air, works.',
    ],
  },
};
