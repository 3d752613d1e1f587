import { createContext, useContext, type ComponentType } from 'react';

/** What stands in a top bar besides its title; the frame gives it, which knows what there is to say. */
export interface TopBarMarks {
  /** On the screen of a place: which site is looked at. */
  readonly Site: ComponentType;
  /** On the screen of a place: where my clock runs, notices, whether all is sent, the person. */
  readonly Marks: ComponentType;
  /** On what is opened from it: where my clock runs, and whether all is sent. */
  readonly Sent: ComponentType;
}

const nothing = (): null => null;

export const noMarks: TopBarMarks = { Site: nothing, Marks: nothing, Sent: nothing };

export const MarksContext = createContext<TopBarMarks>(noMarks);

export function useMarks(): TopBarMarks {
  return useContext(MarksContext);
}
