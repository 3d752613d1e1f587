/** What other features may use of this one. */
export { TransferRow } from './transfer-row';
export { useElsewhere } from './use-elsewhere';
