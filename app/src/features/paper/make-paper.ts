import type { PaperOrder } from '../../../workers/paper';
import { askWorker } from '../../data/ask-worker';
import { saveFile } from '../../data/save-file';
import { useNotice } from '../../ui/notice';

/** Sets a paper in a worker of its own and hands it over to be printed. Works without signal. */
export async function makePaper(order: PaperOrder, name: string): Promise<void> {
  const content = await askWorker<Uint8Array<ArrayBuffer>>('paper', order);
  const { say } = useNotice.getState();
  if (content === null) return say('The PDF could not be made. Load Oilcan again and try once more.');
  saveFile(name, 'application/pdf', content);
  say(`${name} is with your downloads, ready to print.`);
}
