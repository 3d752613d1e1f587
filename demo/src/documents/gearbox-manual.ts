import type { Booklet } from './pages';

/** Operating and service manual of the gearbox; the maker and every figure are invented. */
export const gearboxManual: Booklet = {
  title: 'PK 3-710 drive gearbox: operating and service manual',
  maker: 'Brenner Getriebe',
  size: [595, 842],
  pages: [
    [
      { heading: 'PK 3-710' },
      { text: 'Three-stage bevel and spur gearbox for continuous ropeways. Serial number as on the nameplate.' },
      {
        text: 'Keep this manual with the machine. Only trained people work on the gearbox, and only when the drive is locked out and the rope is on its mechanical stop.',
      },
      {
        text: 'Contents: 2 Safety. 3 Technical data. 4 Lubrication. 5 Inspection. 6 Output seal. 7 Tightening torques. 8 Vibration and temperature. 9 Fault finding. 10 Spare parts.',
      },
    ],
    [
      { heading: '2 Safety' },
      {
        text: 'The output shaft can turn without the motor: the haul rope stores energy. Work on the gearbox begins only after these steps.',
      },
      {
        steps: [
          'Stop the ropeway and bring all carriers to a safe place.',
          'Switch off the main switch Q1 and put on a personal lock.',
          'Apply the emergency brake and put the rope on the mechanical stop.',
          'Lower the pressure of the brake hydraulics to zero and lock the ball valve.',
          'Try to start from the panel. Nothing may move.',
        ],
      },
      { text: 'Oil and housing reach 80 °C. Let the gearbox cool for one hour before opening it.' },
    ],
    [
      { heading: '3 Technical data' },
      {
        table: [
          ['Item', 'Value', 'Unit'],
          ['Ratio', '42.6 : 1', ''],
          ['Input power, rated', '520', 'kW'],
          ['Input speed', '1,485', '1/min'],
          ['Output speed', '34.8', '1/min'],
          ['Output torque, rated', '142', 'kN·m'],
          ['Mass without oil', '6,850', 'kg'],
          ['Oil filling', '180', 'L'],
          ['Output shaft at the seal', '70', 'mm'],
        ],
        widths: [220, 160, 80],
      },
    ],
    [
      { heading: '4 Lubrication' },
      { text: 'Mineral oil CLP of viscosity class ISO VG 220. Do not mix with synthetic oil.' },
      {
        table: [
          ['What', 'When', 'How much'],
          ['Oil level, standing', 'monthly', '90 to 140 mm on the stick'],
          ['Oil sample', 'every 6 months', '100 mL'],
          ['Oil change', 'every 3 years or 12,000 h', '180 L'],
          ['Breather', 'monthly', 'clean'],
          ['Filter element', 'yearly', '1 pcs'],
        ],
        widths: [160, 170, 160],
      },
      { text: 'Cleanliness to be reached after a change: ISO 4406 18/16/13.' },
    ],
    [
      { heading: '5 Inspection' },
      {
        table: [
          ['Point', 'Good', 'Act'],
          ['Oil level', '90 mm and above', 'below 90 top up, below 70 stop'],
          ['Sump temperature', 'up to 75 °C', 'above 75 look, above 85 stop'],
          ['Vibration, output bearing', 'up to 4.5 mm/s', 'above 4.5 analyse, above 7.1 stop'],
          ['Seals and flanges', 'dry', 'drops: plan, puddle: stop'],
          ['Noise', 'even', 'knocking: stop'],
        ],
        widths: [160, 130, 200],
      },
    ],
    [
      { heading: '6 Output seal' },
      {
        text: 'Seal 70 × 90 × 10. A seal that leaks again within a year usually runs on a scored shaft: fit the sleeve SLEEVE-70, or set the seal 3 mm deeper.',
      },
      {
        steps: [
          'Drain the oil to below the seal, about 60 L. Keep a sample.',
          'Mark the position of the coupling hub and pull it.',
          'Lever the old seal out. Do not touch the shaft with the tool.',
          'Look at the shaft where the lip runs. A groove deeper than 0.2 mm needs the sleeve.',
          'Oil the lip. Press the new seal in square, lip towards the oil.',
          'Push the hub on at 120 °C. Tighten its bolts crosswise to 210 N·m.',
          'Fill up, run for 30 min, look for drops.',
        ],
      },
    ],
    [
      { heading: '7 Tightening torques' },
      {
        table: [
          ['Joint', 'Bolt', 'Torque'],
          ['Coupling hub', 'M16 10.9', '210 N·m'],
          ['Housing halves', 'M24 8.8', '660 N·m'],
          ['Bearing cover, output', 'M12 8.8', '79 N·m'],
          ['Bearing cover, input', 'M10 8.8', '46 N·m'],
          ['Foot to frame', 'M36 8.8', '2,280 N·m'],
          ['Drain plug', 'G 1', '140 N·m'],
        ],
        widths: [200, 140, 120],
      },
      { text: 'Tighten crosswise in two rounds: first half, then whole.' },
    ],
    [
      { heading: '8 Vibration and temperature' },
      {
        text: 'Measure in mm/s r.m.s. at the output bearing, horizontally, with the ropeway at full speed and at least one third of its load.',
      },
      {
        table: [
          ['Zone', 'mm/s', 'Meaning'],
          ['A', 'up to 2.3', 'new'],
          ['B', '2.3 to 4.5', 'for long operation'],
          ['C', '4.5 to 7.1', 'for a limited time: find the cause'],
          ['D', 'above 7.1', 'damage is likely: stop'],
        ],
        widths: [80, 120, 240],
      },
    ],
    [
      { heading: '9 Fault finding' },
      {
        table: [
          ['What is seen', 'Likely cause', 'What to do'],
          ['Oil at the output', 'seal worn, shaft scored', 'chapter 6'],
          ['Oil at the breather', 'level too high, breather blocked', 'drain, clean'],
          ['Sump above 85 °C', 'level low, cooler dirty', 'top up, clean'],
          ['Knocking once a turn', 'tooth damaged', 'stop, call the maker'],
          ['Vibration rises slowly', 'bearing wears', 'take an oil sample'],
          ['Humming under load', 'alignment', 'align within 0.05 mm'],
        ],
        widths: [150, 190, 140],
      },
    ],
    [
      { heading: '10 Spare parts' },
      {
        table: [
          ['Number', 'Part', 'Pieces'],
          ['SEAL-70-90-10', 'Shaft seal, output', '1'],
          ['SLEEVE-70', 'Shaft sleeve 70 mm', '1'],
          ['BRG-6308', 'Deep groove ball bearing', '2'],
          ['OIL-VG220', 'Gear oil ISO VG 220', '180 L'],
          ['FLT-SEP-75', 'Filter element', '1'],
        ],
        widths: [150, 220, 80],
      },
      { text: 'Say the serial number with every order.' },
    ],
  ],
};
