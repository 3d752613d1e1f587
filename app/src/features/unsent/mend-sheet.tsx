import { useState, type ReactElement } from 'react';
import type { Operation, Refusal } from '@oilcan/core/operations';
import { sentenceFor } from '@oilcan/core/registry';
import { mend, usePhone, useRow } from '../../data/store';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { useNotice } from '../../ui/notice';
import { Button } from '../../ui/press';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { phoneNames } from '../views/names';
import { mendedArgs, mendFieldsOf } from './mending';
import { operationWords } from './operation-words';

/** A refused record put right and sent again. It keeps the time at which it was first made. */
export function MendSheet({
  operation,
  onClose,
}: {
  readonly operation: Operation;
  readonly onClose: () => void;
}): ReactElement {
  const palette = usePalette();
  const say = useNotice((state) => state.say);
  const refusedFor = usePhone((state) => {
    const kept = state.kept.find((each) => each.operation.id === operation.id);
    return kept?.where === 'rejected' ? kept.refusal : null;
  });
  const work = useRow('workOrders', (operation.args as { workOrderId?: string }).workOrderId);
  const fields = mendFieldsOf(operation);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [unreadable, setUnreadable] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const send = async (): Promise<void> => {
    const read = mendedArgs(operation.args, fields, typed);
    setUnreadable(read.ok ? null : read.path);
    if (!read.ok) return;
    const outcome = await mend(operation.id, read.args);
    if (!outcome.ok) return setRefusal(outcome);
    say('Mended. It goes out again.');
    onClose();
  };
  const errorAt = (path: string, hint: string): string | null => {
    if (unreadable === path) return hint;
    const isHere = refusal?.field?.split('.')[0] === path;
    return refusal !== null && isHere ? sentenceFor(refusal.code, refusal.values) : null;
  };
  const isElsewhere = refusal !== null && !fields.some(({ path }) => refusal.field?.split('.')[0] === path);
  return (
    <BottomSheet
      title="Mend and send"
      aside={work?.number ?? ''}
      onClose={onClose}
      foot={<Button main word={fields.length === 0 ? 'Send it again' : 'Send it so'} onPress={() => void send()} />}
    >
      <Words as="heading">{operationWords(operation, phoneNames)}</Words>
      {refusedFor === null ? null : <Words>Not taken. {sentenceFor(refusedFor.code, refusedFor.values)}</Words>}
      {fields.map(({ path, label: name, text, lines, hint }) => (
        <Field
          key={path}
          label={name}
          value={typed[path] ?? text}
          onChange={(given) => setTyped({ ...typed, [path]: given })}
          lines={lines}
          error={errorAt(path, hint)}
        />
      ))}
      {fields.length === 0 ? (
        <Words soft>There is nothing to change in it. Once the reason is gone, send it again.</Words>
      ) : null}
      {isElsewhere ? (
        <Words color={palette.faulty} live>
          Still not possible. {sentenceFor(refusal.code, refusal.values)}
        </Words>
      ) : null}
    </BottomSheet>
  );
}
