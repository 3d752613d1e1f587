import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import type { Operation } from '@oilcan/core/operations';
import { sentenceFor } from '@oilcan/core/registry';
import { mend, usePhone, useRow } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { phoneNames } from '../views/names';
import { correctedArgs, correctableFieldsOf } from './corrections';
import { operationWords } from './operation-words';

/** A refused record put right and sent again. It keeps the time at which it was first made. */
export function CorrectSheet({
  operation,
  onClose,
}: {
  readonly operation: Operation;
  readonly onClose: () => void;
}): ReactElement {
  const say = useNotice((state) => state.say);
  const refusedFor = usePhone((state) => {
    const kept = state.kept.find((each) => each.operation.id === operation.id);
    return kept?.where === 'rejected' ? kept.refusal : null;
  });
  const work = useRow('workOrders', (operation.args as { workOrderId?: string }).workOrderId);
  const fields = correctableFieldsOf(operation);
  const form = useForm({ defaultValues: Object.fromEntries(fields.map(({ path, text }) => [path, text])) });
  const send = form.handleSubmit(async (typed) => {
    const read = correctedArgs(operation.args, fields, typed);
    if (!read.ok)
      return form.setError(read.path, { message: fields.find(({ path }) => path === read.path)?.hint ?? '' });
    const outcome = await mend(operation.id, read.args);
    if (!outcome.ok) {
      const at = outcome.field?.split('.')[0] ?? '';
      const isHere = fields.some(({ path }) => path === at);
      const sentence = sentenceFor(outcome.code, outcome.values);
      return form.setError(isHere ? at : 'root', { message: isHere ? sentence : `Still not possible. ${sentence}` });
    }
    say('Mended. It goes out again.');
    onClose();
  });
  return (
    <BottomSheet
      title="Mend and send"
      aside={work?.number ?? ''}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={fields.length === 0 ? 'Send it again' : 'Send it so'}
          onPress={() => void send()}
        />
      }
    >
      <AppText as="heading">{operationWords(operation, phoneNames)}</AppText>
      {refusedFor === null ? null : <AppText>Not taken. {sentenceFor(refusedFor.code, refusedFor.values)}</AppText>}
      {fields.map(({ path, label, lines }) => (
        <FormField key={path} control={form.control} name={path} label={label} lines={lines} />
      ))}
      {fields.length === 0 ? (
        <AppText soft>There is nothing to change in it. Once the reason is gone, send it again.</AppText>
      ) : null}
      <FormRefusal sentence={form.formState.errors.root?.message ?? null} />
    </BottomSheet>
  );
}
