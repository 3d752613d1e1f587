import type { Settings } from '@oilcan/core/orders/settings';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { PaperOrder } from '../../../../workers/paper';
import { inTurns } from '../../../data/browser/in-turns';
import { saveFile } from '../../../data/browser/save-file';
import { readFile } from '../../../data/store/store';
import { useNotice } from '../../../ui/state/use-notice';
import { recordOnPaper } from './record-paper';
import { setPaper } from './set-paper';

/** So many photos are fetched at once. */
const AT_ONCE = 4;

/** The record of a job as PDF, set in a worker; null where it could not be made. Photos that are not here are fetched if they can be. */
export async function makeRecord(
  work: WorkOrder,
  settings: Settings,
  hasCosts: boolean,
): Promise<Uint8Array<ArrayBuffer> | null> {
  const { record, pictures } = recordOnPaper(work, settings, hasCosts);
  const photos = await inTurns(pictures, AT_ONCE, async ({ fileId, mediaType }) => {
    const file = await readFile(fileId, mediaType);
    return file.is === 'here' ? new Blob([file.content], { type: mediaType }) : null;
  });
  const order: PaperOrder = { what: 'record', record, photos };
  return setPaper(order);
}

/** The record as PDF among the downloads, with what it cost, as far as this person may know. */
export async function saveRecordPaper(work: WorkOrder, settings: Settings): Promise<void> {
  const { say } = useNotice.getState();
  const content = await makeRecord(work, settings, true);
  if (content === null) return say('The PDF could not be made. Load Oilcan again and try once more.');
  saveFile(`${work.number}-record.pdf`, 'application/pdf', content);
  say(`${work.number}-record.pdf is with your downloads.`);
}
