import type { ReactElement } from 'react';
import { mdiCamera } from '@mdi/js';
import type { Report } from '@oilcan/core/raising/reports';
import { useReportPhoto } from '../../../data/pictures/use-report-photo';
import { useOperation } from '../../../data/store/use-operation';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { PlayVoice, useSaidAloud, VoiceToggle } from '../../recording/attachments';
import { Picture } from '../../recording/photos';

/** More about a report: words, a photo, or the voice. */
export function SayMoreSheet({
  report,
  onClose,
}: {
  readonly report: Report;
  readonly onClose: () => void;
}): ReactElement {
  const { photo, trouble, take } = useReportPhoto();
  const { run, refusal: voiceRefusal, errorAt } = useOperation();
  const { voice, said, sendSaid } = useSaidAloud(
    (spoken) => run('report.say-aloud', { reportId: report.id, voice: spoken }, 'Added.'),
    onClose,
  );
  const { form, submit, refusal } = useOperationForm({
    operation: 'report.say',
    about: report.id,
    defaultValues: { words: '' },
    read: ({ words }) => ({ args: { reportId: report.id, words, photo } }),
    said: 'Added.',
    onDone: sendSaid,
  });
  const send = (): void => {
    const isVoiceAlone = said !== null && photo === null && form.getValues('words').trim() === '';
    if (isVoiceAlone) sendSaid();
    else submit();
  };
  return (
    <BottomSheet
      title={report.state === 'asked' ? 'Answer' : 'Add something'}
      aside={report.number}
      onClose={onClose}
      foot={
        <>
          <Button icon={mdiCamera} word={photo === null ? 'Photo' : 'Take it again'} onPress={() => void take()} />
          <VoiceToggle voice={voice} isSaid={said !== null} />
          <Button rank="primary" word="Send it" onPress={send} />
        </>
      }
    >
      <FormField control={form.control} name="words" label="What there is to add" lines={4} autoFocus />
      {photo === null ? null : <Picture content={{ ...photo, caption: 'With it' }} isSmall />}
      {said === null ? null : <PlayVoice content={{ kind: 'voice', ...said }} />}
      <FormRefusal sentence={trouble ?? voice?.trouble ?? errorAt(voiceRefusal?.field ?? '') ?? refusal} />
    </BottomSheet>
  );
}
