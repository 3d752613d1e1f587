/** A label: what its code holds, and the words beside it. */
export interface Label {
  readonly code: string;
  readonly headline: string;
  readonly detail: string;
}

export interface LabelFormat {
  readonly words: string;
  readonly columns: number;
  readonly rows: number;
  /** Of one label, in millimetres. */
  readonly width: number;
  readonly height: number;
}

/** Common sizes of labels on A4; the sheet is filled from edge to edge, margins share what is left. */
export const labelFormats = {
  small: { words: '52 × 30 mm, 36 a sheet', columns: 4, rows: 9, width: 52.5, height: 29.7 },
  middle: { words: '70 × 37 mm, 24 a sheet', columns: 3, rows: 8, width: 70, height: 37 },
  large: { words: '105 × 74 mm, 8 a sheet', columns: 2, rows: 4, width: 105, height: 74 },
} as const satisfies Record<string, LabelFormat>;

export type LabelFormatName = keyof typeof labelFormats;
