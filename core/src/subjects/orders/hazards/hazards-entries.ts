import { renaming } from '../../../records/upgrade';
import { noCells } from '../work/entry-cells';
import { plainEntry, type EntryKindsNamed } from '../work/entry-kinds';

/** That somebody has read these hazards. */
export interface AcknowledgementContent {
  readonly kind: 'acknowledgement';
  readonly hazardIds: readonly string[];
}

/** A hazard that somebody added to the list. */
export interface HazardContent {
  readonly kind: 'hazard';
  readonly id: string;
  readonly hazard: string;
  readonly control: string;
}

declare module '../work/entries' {
  interface EntryContents {
    acknowledgement: AcknowledgementContent;
    hazard: HazardContent;
  }
}

export const hazardsEntries: EntryKindsNamed<'acknowledgement' | 'hazard'> = {
  acknowledgement: { ...plainEntry, cells: noCells },
  hazard: {
    ...plainEntry,
    cells: ({ hazard }) => ({ text: hazard }),
    upgrades: [{ to: 5, change: renaming({ precaution: 'control' }) }],
  },
};
