import { useState, type ReactElement } from 'react';
import { LONGEST_TEXT, type WorkOrder } from '@oilcan/core';
import { useOperation } from '../../data/use-operation';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Button } from '../../ui/press';

/** Words for whoever comes next. */
export function NoteSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const { run, errorAt } = useOperation();
  const [text, setText] = useState('');
  const keep = async (): Promise<void> => {
    if (await run('note.add', { workOrderId: work.id, text }, 'Note kept.')) onClose();
  };
  return (
    <BottomSheet title="Note" onClose={onClose} foot={<Button main word="Keep the note" onPress={() => void keep()} />}>
      <Field
        label="What the next person should know"
        value={text}
        onChange={setText}
        lines={5}
        autoFocus
        error={errorAt('text')}
        {...(text.length > LONGEST_TEXT * 0.9 ? { hint: `${text.length} of ${LONGEST_TEXT} characters` } : {})}
      />
    </BottomSheet>
  );
}
