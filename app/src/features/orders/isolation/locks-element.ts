/** Names the element with the locks that are still on. */
export const LOCKS_ELEMENT = 'locks-to-take-off';
