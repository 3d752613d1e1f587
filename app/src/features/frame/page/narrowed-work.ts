import { create } from 'zustand';

/** The ids of the work to which the Shift list is narrowed just now; null where it shows all. */
export const useNarrowedWork = create<{ readonly ids: readonly string[] | null }>(() => ({ ids: null }));
