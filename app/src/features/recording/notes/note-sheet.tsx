import { mdiCamera, mdiPaperclip } from '@mdi/js';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { LONGEST_LINE, LONGEST_TEXT } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useDictation } from '../../../data/browser/dictation';
import { chooseFiles } from '../../../data/files/choose-files';
import { takePicture } from '../../../data/pictures/take-picture';
import { performOrSay } from '../../../data/store/use-operation';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { useNotice } from '../../../ui/state/use-notice';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { bringFiles, VoiceKey } from '../attachments';
import { takenWords } from '../photos/words';
import { DictateKey } from '../../../forms/dictate-key';

/** Words or a photo for whoever comes next. Words that fit a line go with the photo. */
export function NoteSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const say = useNotice((state) => state.say);
  const [pictureError, setPictureError] = useState<string | null>(null);
  const [shows, setShows] = useState<'before' | 'after' | null>(null);
  const { form, submit, refusal } = useOperationForm({
    operation: 'note.add',
    about: work.id,
    defaultValues: { text: '' },
    read: ({ text }) => ({ args: { workOrderId: work.id, assetId: work.assetId, text } }),
    said: 'Note kept.',
    onDone: onClose,
  });
  const text = form.watch('text');
  const dictation = useDictation((spoken) => form.setValue('text', `${form.getValues('text')} ${spoken}`.trim()));
  const photograph = async (): Promise<void> => {
    setPictureError(null);
    const taken = await takePicture();
    if (taken.is === 'failed') setPictureError(taken.sentence);
    if (taken.is !== 'kept') return;
    const { id: fileId, mediaType, width, height } = taken.picture;
    const caption = text.trim();
    const when = shows === null ? {} : { taken: shows };
    const photo = {
      workOrderId: work.id,
      assetId: work.assetId,
      fileId,
      mediaType,
      width,
      height,
      caption,
      ...when,
    } as const;
    if (!(await performOrSay('photo.add', photo))) return;
    say('Photo kept.');
    form.reset({ text: '' });
    onClose();
  };
  const bring = async (): Promise<void> => {
    const files = await chooseFiles();
    if (files.length === 0) return;
    await bringFiles(work, files);
    onClose();
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
            cannot={!isCaption && 'These words are too long for a photo. Keep them as a note.'}
            onPress={() => void photograph()}
          />
          <View style={sheet.others}>
            <VoiceKey work={work} onKept={onClose} />
            <Button word="File" icon={mdiPaperclip} onPress={() => void bring()} />
          </View>
          <Button rank="primary" word="Keep the note" onPress={submit} />
        </>
      }
    >
      <FormField
        control={form.control}
        name="text"
        label="For the next person"
        lines={5}
        autoFocus
        {...(text.length > LONGEST_TEXT * 0.9 ? { hint: `${text.length} of ${LONGEST_TEXT} characters` } : {})}
      />
      <Choices label="What the photo shows">
        {(['before', 'after'] as const).map((each) => (
          <Choice
            key={each}
            word={takenWords[each]}
            isChosen={shows === each}
            onPress={() => setShows(shows === each ? null : each)}
          />
        ))}
      </Choices>
      <DictateKey of={dictation} />
      <FormRefusal sentence={pictureError ?? dictation?.error ?? refusal} />
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({ others: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } });
