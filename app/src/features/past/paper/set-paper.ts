import type { PaperOrder } from '../../../../workers/paper';
import { askWorker, WorkerMissing } from '../../../data/browser/ask-worker';

/** A paper as PDF, set in a worker; null where it could not be made, or what makes it could not be loaded. */
export async function setPaper(order: PaperOrder): Promise<Uint8Array<ArrayBuffer> | null> {
  try {
    return await askWorker<Uint8Array<ArrayBuffer>>('paper', order);
  } catch (error) {
    if (error instanceof WorkerMissing) return null;
    throw error;
  }
}
