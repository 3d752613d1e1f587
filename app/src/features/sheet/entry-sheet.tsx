import { useState, type ReactElement } from 'react';
import { formatDuration, typedDuration, formatQuantity, parseDuration, parseQuantity } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { isOpen, type Entry, type WorkOrder } from '@oilcan/core/work';
import { useOperation } from '../../data/use-operation';
import { usePhone, useRow, useSettings } from '../../data/store';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { sayExactly } from '../../words/dates';
import { entryWords } from './entry-words';
import { Picture } from './picture';
import { entryNames } from './entry-names';
import { useWhere } from './record';

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
  const { headline, detail } = entryWords(entry, entryNames, settings.language);
  const isMine = entry.by === person.id || hasRole(person, ['lead']);
  const canMend = isMine && !isAmended && isOpen(work.state);
  return (
    <BottomSheet title="Entry" aside={where ?? 'Sent'} onClose={onClose}>
      <Words as="heading">{headline}</Words>
      {entry.content.kind === 'photo' ? <Picture photo={entry.content} /> : null}
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
  const [text, setText] = useState(() => initialText(entry));
  const [reason, setReason] = useState('');
  const [isUnreadable, setIsUnreadable] = useState(false);
  const { content } = entry;
  const isAmendable = content.kind === 'labor' || content.kind === 'part' || content.kind === 'note';
  if (!isAmendable && content.kind !== 'reading' && content.kind !== 'photo') return null;
  const target = { workOrderId: work.id, entryId: entry.id };
  const amend = async (): Promise<void> => {
    setIsUnreadable(false);
    if (content.kind === 'note') {
      if (await run('note.amend', { ...target, text }, 'Note amended.')) onClose();
      return;
    }
    const amount = content.kind === 'labor' ? parseDuration(text) : parseQuantity(text);
    if (amount === undefined) return setIsUnreadable(true);
    const isKept =
      content.kind === 'labor'
        ? await run(
            'labor.amend',
            { ...target, startedAt: content.startedAt, minutes: amount, timeType: content.timeType },
            `Now ${formatDuration(amount)}.`,
          )
        : await run('part.amend', { ...target, quantity: amount }, `Now ${formatQuantity(amount)}.`);
    if (isKept) onClose();
  };
  const withdraw = async (): Promise<void> => {
    if (await run('entry.withdraw', { ...target, reason }, 'Taken back.')) onClose();
  };
  const labels = { labor: 'How long instead', part: 'Amount instead', note: 'Text instead' } as const;
  return (
    <>
      {!isAmendable ? null : (
        <>
          <Field
            label={labels[content.kind]}
            value={text}
            onChange={setText}
            lines={content.kind === 'note' ? 4 : 1}
            error={
              isUnreadable
                ? 'That cannot be read. Write it as 1:30 or 2.5.'
                : (errorAt('minutes') ?? errorAt('quantity') ?? errorAt('text'))
            }
          />
          <Button word="Amend" icon="amend" onPress={() => void amend()} />
        </>
      )}
      <Field label="Why it should not be there" value={reason} onChange={setReason} error={errorAt('reason')} />
      <Button word="Take it back" icon="undo" onPress={() => void withdraw()} />
    </>
  );
}

function initialText({ content }: Entry): string {
  if (content.kind === 'labor') return typedDuration(content.minutes);
  if (content.kind === 'part') return formatQuantity(content.quantity);
  return content.kind === 'note' ? content.text : '';
}
