/** What other features may use of this one. */
export { loadReturnSheets, RETURN_SHEET, ServiceLines } from './service-lines';
