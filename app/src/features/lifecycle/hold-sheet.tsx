import { useState, type ReactElement } from 'react';
import { holdReasons, type HoldReason, type WorkOrder } from '@oilcan/core/work';
import { useOperation } from '../../data/use-operation';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Button, Choice, Choices } from '../../ui/press';
import { Words } from '../../ui/words';
import { holdWords } from '../../words/work-words';

/** Why the work rests. My clock on it stops. */
export function HoldSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const { run, errorAt } = useOperation();
  const [reason, setReason] = useState<HoldReason>('part');
  const [note, setNote] = useState('');
  const hold = async (): Promise<void> => {
    if (await run('work.hold', { workOrderId: work.id, reason, note: note.trim() }, `${work.number} is held.`))
      onClose();
  };
  return (
    <BottomSheet title="Hold" onClose={onClose} foot={<Button main word="Hold the job" onPress={() => void hold()} />}>
      <Choices label="Reason">
        {holdReasons.map((each) => (
          <Choice key={each} word={holdWords[each]} isChosen={reason === each} onPress={() => setReason(each)} />
        ))}
      </Choices>
      <Field label="More about it (not needed)" value={note} onChange={setNote} error={errorAt('note')} />
      <Words as="small" soft>
        If your clock runs here, it stops and its time is kept.
      </Words>
    </BottomSheet>
  );
}
