/** How servers on one database tell one another what happened. What is said may be lost: whoever listens also looks for itself. */
export interface Channel {
  /** To all others, in a few kilobytes. */
  readonly say: (text: string) => Promise<void>;
  /** Calls `heard` with what others say, until what it gives is called. */
  readonly listen: (heard: (text: string) => void) => () => Promise<void>;
}

/** Where one server alone has the database, there is nobody to tell. */
export const nobodyElse: Channel = {
  say: () => Promise.resolve(),
  listen: () => () => Promise.resolve(),
};
