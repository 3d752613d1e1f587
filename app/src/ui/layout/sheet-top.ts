import { createContext, type ReactNode } from 'react';

/** What stands at the top of every sheet that opens within, such as where it is recorded. */
export const SheetTop = createContext<ReactNode>(null);
