import type { PaperOrder } from '../../../../workers/paper';
import { saveFile } from '../../../data/browser/save-file';
import { useNotice } from '../../../ui/state/use-notice';
import { setPaper } from './set-paper';

/** Sets a paper in a worker of its own and hands it over to be printed. Works without signal. */
export async function makePaper(order: PaperOrder, name: string): Promise<void> {
  const content = await setPaper(order);
  const { say } = useNotice.getState();
  if (content === null) return say('The PDF could not be made. Load Oilcan again and try once more.');
  saveFile(name, 'application/pdf', content);
  say(`${name} is with your downloads, ready to print.`);
}
