import { useEffect } from 'react';
import type { AssetId, WorkOrderId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { bringFile } from '../../../data/files/bring-file';
import { noteBringing } from '../../../data/store/progress';
import { useNotice } from '../../../ui/state/use-notice';
import { counted } from '../../../words/work-words';

/** Brings files to a job and the machine of it that they are about, one after the other, and says what became of them. */
export async function bringFiles(
  { id, assetId }: Pick<WorkOrder, 'id' | 'assetId'>,
  files: readonly File[],
): Promise<void> {
  const { say } = useNotice.getState();
  const problems: string[] = [];
  try {
    for (const [index, file] of files.entries()) {
      noteBringing({ kept: index - problems.length, of: files.length });
      const problem = await bringFile({ workOrderId: id, assetId }, file);
      if (problem !== null) problems.push(problem);
    }
  } finally {
    noteBringing(null);
  }
  const kept = files.length - problems.length;
  const said = kept === 0 ? [] : [`${counted(kept, 'file', 'files')} kept.`];
  if (files.length > 0) say([...said, ...problems].join(' '));
}

/** On a wide screen files may be dropped on the sheet: they are about the machine that is in sight. */
export function useDroppedFiles(id: WorkOrderId, assetId: AssetId, isOn: boolean): void {
  useEffect(() => {
    if (!isOn) return undefined;
    const over = (event: DragEvent): void => event.preventDefault();
    const drop = (event: DragEvent): void => {
      event.preventDefault();
      void bringFiles({ id, assetId }, [...(event.dataTransfer?.files ?? [])]);
    };
    window.addEventListener('dragover', over);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('drop', drop);
    };
  }, [id, assetId, isOn]);
}
