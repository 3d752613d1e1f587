/** What other features may use of this one. */
export { CodeFault } from './code-fault';
export { faultLine } from './words';
