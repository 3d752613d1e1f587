import { createContext, useContext, type ComponentType } from 'react';

/** What stands at the end of a top bar; the frame gives it, which knows what there is to say. */
export interface TopBarMarks {
  /** On the screen of a place: the site, notices, whether all is sent, the person. */
  readonly Marks: ComponentType;
  /** On what is opened from it: whether all is sent. */
  readonly Sent: ComponentType;
}

const nothing = (): null => null;

export const MarksContext = createContext<TopBarMarks>({ Marks: nothing, Sent: nothing });

export function useMarks(): TopBarMarks {
  return useContext(MarksContext);
}
