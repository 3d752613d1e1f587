import { useState, type ReactElement } from 'react';
import { mdiCamera, mdiMicrophoneOutline, mdiStop } from '@mdi/js';
import { formatClock } from '@oilcan/core/kernel';
import type { Report } from '@oilcan/core/reports';
import { sentenceFor } from '@oilcan/core/registry';
import { nameOf } from '../../data/files/bring-file';
import { useVoice, type Voice } from '../../data/files/use-voice';
import { useReportPhoto } from '../../data/pictures/use-report-photo';
import { keepFile } from '../../data/store';
import { useOperation } from '../../data/use-operation';
import { FormField } from '../../forms/form-field';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Button } from '../../ui/press';
import { Picture } from '../photos';

/** More about a report: words, a photo, or the voice. */
export function SayMoreSheet({
  report,
  onClose,
}: {
  readonly report: Report;
  readonly onClose: () => void;
}): ReactElement {
  const { photo, trouble, take } = useReportPhoto();
  const [notKept, setNotKept] = useState<string | null>(null);
  const { run, refusal: voiceRefusal, errorAt } = useOperation();
  const { form, submit, refusal } = useOperationForm({
    operation: 'report.say',
    defaultValues: { words: '' },
    read: ({ words }) => ({ args: { reportId: report.id, words, photo } }),
    said: 'Added.',
    onDone: onClose,
  });
  const keepVoice = async ({ content, mediaType, seconds }: Voice): Promise<void> => {
    const fileId = nameOf(content);
    const refused = await keepFile(fileId, mediaType, content);
    if (refused !== null) return setNotKept(sentenceFor(refused.code, refused.values));
    const args = { reportId: report.id, voice: { fileId, mediaType, seconds } };
    if (await run('report.say-aloud', args, 'Added.')) onClose();
  };
  const voice = useVoice((recorded) => void keepVoice(recorded));
  const runs = voice !== null && voice.seconds !== null;
  return (
    <BottomSheet
      title={report.state === 'asked' ? 'Answer' : 'Add something'}
      aside={report.number}
      onClose={onClose}
      foot={
        <>
          <Button icon={mdiCamera} word={photo === null ? 'Photo' : 'Another photo'} onPress={() => void take()} />
          {voice === null ? null : (
            <Button
              icon={runs ? mdiStop : mdiMicrophoneOutline}
              word={runs ? `Stop ${formatClock(voice.seconds ?? 0)}` : 'Say it'}
              onPress={runs ? voice.stop : voice.start}
            />
          )}
          <Button main word="Send it" onPress={submit} />
        </>
      }
    >
      <FormField control={form.control} name="words" label="What there is to add" lines={4} autoFocus />
      {photo === null ? null : <Picture content={{ ...photo, caption: 'With it' }} isSmall />}
      <FormRefusal sentence={trouble ?? notKept ?? voice?.error ?? errorAt(voiceRefusal?.field ?? '') ?? refusal} />
    </BottomSheet>
  );
}
