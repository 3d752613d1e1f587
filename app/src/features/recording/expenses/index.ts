/** What other features may use of this one. */
export { CostCentreChoice } from './cost-centre-choice';
export { PaperButton, usePaper } from './paper';
export { ReceiptPicture } from './receipt-picture';
