import { useState, type ReactElement } from 'react';
import { hasRole } from '@oilcan/core/operations';
import { entryKinds } from '@oilcan/core/registry';
import { isOpen, type Entry, type WorkOrder } from '@oilcan/core/work';
import { useOperation } from '../../data/use-operation';
import { usePhone, useRow, useSettings } from '../../data/store';
import { FormField } from '../../forms/form-field';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { sayExactly } from '../../words/dates';
import { entryWords } from './entry-words';
import { viewOf } from '../registry/view-of';
import { phoneNames } from '../views/names';
import { useWhere } from './use-where';
import { mdiPencilOutline, mdiUndo } from '@mdi/js';

interface Props {
  readonly entry: Entry;
  readonly work: WorkOrder;
  readonly isAmended: boolean;
  readonly onClose: () => void;
}

/** One entry in full, and the ways to put it right: another value in its place, or taking it back. */
export function EntrySheet({ entry, work, isAmended, onClose }: Props): ReactElement | null {
  const settings = useSettings(entry.siteId);
  const person = usePhone((state) => state.person);
  const by = useRow('people', entry.by);
  const where = useWhere(entry);
  if (settings === undefined || person === null) return null;
  const { headline, detail } = entryWords(entry, phoneNames, settings.language);
  const { Picture } = viewOf(entry.content.kind);
  const isMine = entry.by === person.id || hasRole(person, ['lead']);
  const canMend = isMine && !isAmended && isOpen(work.state);
  return (
    <BottomSheet title="Entry" aside={where ?? 'Sent'} onClose={onClose}>
      <Words as="heading">{headline}</Words>
      {Picture === null ? null : <Picture content={entry.content} />}
      <Words soft>{detail}</Words>
      <Words as="small" soft>
        {by?.name}, {sayExactly(entry.at, settings.zone, settings.language)}
      </Words>
      {isAmended ? <Words>Amended: the entry that holds now stands beside it in the record.</Words> : null}
      {canMend ? <Mending entry={entry} work={work} onClose={onClose} /> : null}
    </BottomSheet>
  );
}

function Mending({ entry, work, onClose }: Pick<Props, 'entry' | 'work' | 'onClose'>): ReactElement | null {
  const { run, errorAt } = useOperation();
  const { amend } = viewOf(entry.content.kind);
  const [text, setText] = useState(() => amend?.typed(entry.content) ?? '');
  const [isUnreadable, setIsUnreadable] = useState(false);
  if (entryKinds[entry.content.kind].withdraw === null) return null;
  const target = { workOrderId: work.id, entryId: entry.id };
  const putRight = async (form: NonNullable<typeof amend>): Promise<void> => {
    const asked = form.ask(target, entry.content, text);
    setIsUnreadable(asked === null);
    if (asked !== null && (await run(asked.name, asked.args, asked.said))) onClose();
  };
  const amendError = errorAt('minutes') ?? errorAt('quantity') ?? errorAt('text');
  return (
    <>
      {amend === null ? null : (
        <>
          <Field
            label={amend.label}
            value={text}
            onChange={setText}
            lines={amend.lines}
            error={isUnreadable ? 'That cannot be read. Write it as 1:30 or 2.5.' : amendError}
          />
          <Button word="Amend" icon={mdiPencilOutline} onPress={() => void putRight(amend)} />
        </>
      )}
      <Withdrawing entry={entry} work={work} onClose={onClose} />
    </>
  );
}

function Withdrawing({ entry, work, onClose }: Pick<Props, 'entry' | 'work' | 'onClose'>): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'entry.withdraw',
    defaultValues: { reason: '' },
    read: ({ reason }) => ({ args: { workOrderId: work.id, entryId: entry.id, reason } }),
    said: 'Taken back.',
    onDone: onClose,
  });
  return (
    <>
      <FormField control={form.control} name="reason" label="Why it should not be there" />
      <FormRefusal sentence={refusal} />
      <Button word="Take it back" icon={mdiUndo} onPress={submit} />
    </>
  );
}
