import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one. */
export { TransferRow } from './transfer-row';
export { useElsewhere } from './use-elsewhere';
export const AskElsewhereSheet = lazyComponent(() =>
  import('./ask-elsewhere-sheet').then((module) => module.AskElsewhereSheet),
);
