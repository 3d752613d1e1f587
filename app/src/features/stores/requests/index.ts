/** What other features may use of this one. */
export { JobRequests } from './job-requests';
export { useStoreLines } from './asked-screen';
