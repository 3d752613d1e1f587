import { useState, type ReactElement } from 'react';
import { LONGEST_LINE, LONGEST_TEXT } from '@oilcan/core/kernel';
import { sentenceFor } from '@oilcan/core/registry';
import type { WorkOrder } from '@oilcan/core/work';
import { choosePicture } from '../../data/pictures/choose-picture';
import { shrinkPicture } from '../../data/pictures/shrink-picture';
import { keepPicture } from '../../data/store';
import { useOperation } from '../../data/use-operation';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Button } from '../../ui/press';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { mdiCamera } from '@mdi/js';

/** Words or a photo for whoever comes next. Words that fit a line go with the photo. */
export function NoteSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const palette = usePalette();
  const { run, errorAt } = useOperation();
  const [text, setText] = useState('');
  const [pictureError, setPictureError] = useState<string | null>(null);
  const keep = async (): Promise<void> => {
    if (await run('note.add', { workOrderId: work.id, text }, 'Note kept.')) onClose();
  };
  const photograph = async (): Promise<void> => {
    setPictureError(null);
    const chosen = await choosePicture();
    if (chosen === null) return;
    const picture = await shrinkPicture(chosen);
    if (picture === null) {
      return setPictureError('This file is no picture that can be read. Choose a photo, or take one.');
    }
    const refusal = await keepPicture(picture);
    if (refusal !== null) return setPictureError(sentenceFor(refusal.code, refusal.values));
    const { id: fileId, width, height } = picture;
    const photo = {
      workOrderId: work.id,
      fileId,
      mediaType: 'image/jpeg',
      width,
      height,
      caption: text.trim(),
    } as const;
    if (await run('photo.add', photo, 'Photo kept.')) onClose();
  };
  const isCaption = text.trim().length <= LONGEST_LINE && !text.includes('\n');
  return (
    <BottomSheet
      title="Note"
      onClose={onClose}
      foot={
        <>
          <Button
            word={text.trim() === '' ? 'Photo' : 'Photo with these words'}
            icon={mdiCamera}
            disabled={!isCaption}
            onPress={() => void photograph()}
          />
          <Button main word="Keep the note" onPress={() => void keep()} />
        </>
      }
    >
      <Field
        label="For the next person"
        value={text}
        onChange={setText}
        lines={5}
        autoFocus
        error={errorAt('text')}
        {...(text.length > LONGEST_TEXT * 0.9 ? { hint: `${text.length} of ${LONGEST_TEXT} characters` } : {})}
      />
      {pictureError === null ? null : (
        <Words color={palette.faulty} live>
          {pictureError}
        </Words>
      )}
    </BottomSheet>
  );
}
