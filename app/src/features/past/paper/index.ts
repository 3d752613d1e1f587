import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. Paper is set only when somebody wants it, so it is loaded then. */
export const PaperSheet = lazyComponent(() => import('./paper-sheet').then((module) => module.PaperSheet));
export const MailSheet = lazyComponent(() => import('./mail-sheet').then((module) => module.MailSheet));
export const LabelSheetForm = lazyComponent(() => import('./label-sheet-form').then((module) => module.LabelSheetForm));
