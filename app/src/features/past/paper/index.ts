import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one. Paper is set only when somebody wants it, so it is loaded then. */
export const PaperSheet = piece(() => import('./paper-sheet').then((module) => module.PaperSheet));
export const MailSheet = piece(() => import('./mail-sheet').then((module) => module.MailSheet));
export const LabelSheetForm = piece(() => import('./label-sheet-form').then((module) => module.LabelSheetForm));
