/** Colours by what they are for. Contrast against `paper` is held by a test. */
export interface Palette {
  readonly isNight: boolean;
  /** Ground of the page. */
  readonly paper: string;
  /** Ground of rows and sheets that lie on the page. */
  readonly card: string;
  /** Ground of what is chosen. */
  readonly chosen: string;
  readonly ink: string;
  /** Text that says less. */
  readonly inkSoft: string;
  /** Lines between things, and edges of what can be pressed. */
  readonly line: string;
  readonly edge: string;
  /** Machine green: what is done, and what is to be pressed first. */
  readonly green: string;
  readonly onGreen: string;
  /** The part of a scale that is not filled yet. */
  readonly scale: string;
  /** The running clock and nothing else. */
  readonly brass: string;
  readonly onBrass: string;
  /** Beyond alert, and what is faulty still or beyond alarm: always with their shape and word. */
  readonly alert: string;
  readonly faulty: string;
  readonly alertBand: string;
  readonly alarmBand: string;
  readonly veil: string;
}

export const dayPalette: Palette = {
  isNight: false,
  paper: '#F6F7F4',
  card: '#FFFFFF',
  chosen: '#E4EBE7',
  ink: '#10211F',
  inkSoft: '#43534F',
  line: '#D3D9D5',
  edge: '#7C8A85',
  green: '#2F5D50',
  onGreen: '#FFFFFF',
  scale: '#E1E8E4',
  brass: '#8F6212',
  onBrass: '#FFFFFF',
  alert: '#855700',
  faulty: '#A63F00',
  alertBand: '#DCCB93',
  alarmBand: '#E0B79C',
  veil: 'rgba(16, 33, 31, 0.5)',
};

export const nightPalette: Palette = {
  isNight: true,
  paper: '#0C1514',
  card: '#13201E',
  chosen: '#1D302C',
  ink: '#E4EBE8',
  inkSoft: '#AFBDB8',
  line: '#2A3A37',
  edge: '#6E827C',
  green: '#7FB9A6',
  onGreen: '#0C1514',
  scale: '#22332F',
  brass: '#E0AE4F',
  onBrass: '#0C1514',
  alert: '#E8B04B',
  faulty: '#F08A54',
  alertBand: '#6B5A22',
  alarmBand: '#7A4326',
  veil: 'rgba(0, 0, 0, 0.6)',
};
