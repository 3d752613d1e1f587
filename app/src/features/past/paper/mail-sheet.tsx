import { useEffect, useState, type ReactElement } from 'react';
import type { FileId } from '@oilcan/core/kernel';
import { sentenceFor } from '@oilcan/core/registry';
import type { Settings } from '@oilcan/core/orders/settings';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { nameOf } from '../../../data/browser/name-of';
import { keepFile, useRows, useSettings } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { makeRecord } from './make-record';

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** The record goes to somebody by mail, with one line. Without signal it waits on this phone like all else. */
export function MailSheet({ work, onClose }: Props): ReactElement {
  const settings = useSettings(work.siteId);
  const [hasCosts, setHasCosts] = useState(false);
  const [storage, setStorage] = useState<string | null>(null);
  const made = useMadeRecord(work, settings, hasCosts);
  const copies = useRows('copies', 'workOrder', work.id);
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.mail-copy',
    about: work.id,
    defaultValues: { to: '', line: '' },
    read: ({ to, line }) =>
      made.fileId === null
        ? { unreadable: 'to' as const, hint: 'The PDF is still being made.' }
        : { args: { workOrderId: work.id, to: to.trim(), line: line.trim(), fileId: made.fileId } },
    said: ({ to }) => `The record goes to ${to}.`,
    onDone: onClose,
  });
  const send = async (): Promise<void> => {
    if (made.fileId === null) return;
    const full = await keepFile(made.fileId, 'application/pdf', made.content);
    setStorage(full === null ? null : sentenceFor(full.code, full.values));
    if (full === null) submit();
  };
  return (
    <BottomSheet
      title={`Send ${work.number} by mail`}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={made.fileId === null && made.problem === null ? 'Making the PDF …' : 'Send it'}
          cannot={made.fileId === null && 'The PDF is being made.'}
          onPress={() => void send()}
        />
      }
    >
      <FormField control={form.control} name="to" label="To which address" autoFocus />
      <FormField control={form.control} name="line" label="One line with it (not needed)" />
      <Choices label="What goes along" isMany>
        <Choice word="With what it cost" isMany isChosen={hasCosts} onPress={() => setHasCosts(!hasCosts)} />
      </Choices>
      <FormRefusal sentence={refusal ?? storage ?? made.problem} />
      {copies.length === 0 ? null : (
        <AppText soft>Sent before to {[...new Set(copies.map(({ to }) => to))].join(', ')}.</AppText>
      )}
      <AppText soft>The record as PDF goes along, as it is now. Without signal it waits on this phone.</AppText>
    </BottomSheet>
  );
}

type Made =
  | { readonly fileId: FileId; readonly content: Uint8Array<ArrayBuffer>; readonly problem: null }
  /** Still being made, or why it could not. */
  | { readonly fileId: null; readonly problem: string | null };

const making: Made = { fileId: null, problem: null };

/** The record as PDF, made while somebody writes where it goes. */
function useMadeRecord(work: WorkOrder, settings: Settings | undefined, hasCosts: boolean): Made {
  const [made, setMade] = useState<Made>(making);
  useEffect(() => {
    let isOver = false;
    setMade(making);
    if (settings === undefined) return undefined;
    void makeRecord(work, settings, hasCosts).then((content) => {
      if (isOver) return;
      if (content === null)
        setMade({ fileId: null, problem: 'The PDF could not be made. Load Oilcan again and try once more.' });
      else setMade({ fileId: nameOf(content), content, problem: null });
    });
    return () => {
      isOver = true;
    };
  }, [work, settings, hasCosts]);
  return made;
}
