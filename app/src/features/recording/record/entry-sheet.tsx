import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { hasRole } from '@oilcan/core/operations';
import { entryKinds } from '@oilcan/core/registry';
import { isOpen, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { usePhone, useRow, useSettings } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { sayExactly } from '../../../words/dates';
import { entryWords } from './entry-words';
import { viewOf } from '../../frame/registry/view-of';
import { phoneNames } from '../../frame/views/names';
import { useWhere } from './use-where';
import { mdiPencilOutline, mdiUndo } from '@mdi/js';

interface Props {
  readonly entry: Entry;
  readonly work: WorkOrder;
  readonly isAmended: boolean;
  /** Entries that are looked through from this one, itself among them; none where it stands alone. */
  readonly beside?: readonly Entry[];
  readonly onOpen?: (entry: Entry) => void;
  readonly onClose: () => void;
}

/** One entry in full, and the ways to put it right: another value in its place, or taking it back. */
export function EntrySheet({ entry, work, isAmended, beside = [], onOpen, onClose }: Props): ReactElement | null {
  const settings = useSettings(entry.siteId);
  const person = usePhone((state) => state.person);
  const by = useRow('people', entry.by);
  const where = useWhere(entry);
  const [isAmending, setIsAmending] = useState(false);
  if (settings === undefined || person === null) return null;
  const { headline, detail } = entryWords(entry, phoneNames, settings.language);
  const { Picture, AmendSheet, Actions } = viewOf(entry.content.kind);
  const isLead = hasRole(person, ['lead']);
  const isMine = entry.by === person.id || isLead;
  const canMend = isMine && !isAmended && (isOpen(work.state) || (isLead && work.state === 'accepted'));
  const place = beside.findIndex(({ id }) => id === entry.id);
  const go = (by: number): void => {
    const next = beside[place + by];
    if (place >= 0 && next !== undefined) onOpen?.(next);
  };
  if (isAmending && AmendSheet !== null) return <AmendSheet work={work} entry={entry} onClose={onClose} />;
  return (
    <BottomSheet title="Entry" aside={where ?? 'Sent'} onClose={onClose}>
      <AppText as="heading">{headline}</AppText>
      {Picture === null ? null : (
        <Swiped onSwipe={(by) => go(by)}>
          <Picture content={entry.content} />
        </Swiped>
      )}
      {place >= 0 && beside.length > 1 ? (
        <View style={sheet.through}>
          <Button
            word="Newer"
            label="Newer photo"
            cannot={place === 0 && 'This is the newest.'}
            onPress={() => go(-1)}
          />
          <AppText as="mark" soft>
            {place + 1} of {beside.length}
          </AppText>
          <Button
            word="Older"
            label="Older photo"
            cannot={place === beside.length - 1 && 'This is the oldest.'}
            onPress={() => go(1)}
          />
        </View>
      ) : null}
      <AppText soft>{detail}</AppText>
      <AppText as="small" soft>
        {by?.name}, {sayExactly(entry.at, settings.zone, settings.language)}
      </AppText>
      {Actions === null ? null : <Actions work={work} entry={entry} canMend={canMend} onClose={onClose} />}
      {isAmended ? <AppText>Amended: the entry that holds now stands beside it in the record.</AppText> : null}
      {canMend && AmendSheet !== null ? (
        <Button word="Amend" icon={mdiPencilOutline} onPress={() => setIsAmending(true)} />
      ) : null}
      {canMend ? <Mending entry={entry} work={work} onClose={onClose} /> : null}
    </BottomSheet>
  );
}

/** So far a finger moves sideways before it is a swipe. */
const SWIPE_PIXELS = 48;

/** A swipe sideways goes to the next: to the left the older one. */
function Swiped({
  onSwipe,
  children,
}: {
  readonly onSwipe: (by: 1 | -1) => void;
  readonly children: ReactElement;
}): ReactElement {
  const [from, setFrom] = useState<number | null>(null);
  return (
    <View
      onTouchStart={(event) => setFrom(event.nativeEvent.pageX)}
      onTouchEnd={(event) => {
        const moved = from === null ? 0 : event.nativeEvent.pageX - from;
        setFrom(null);
        if (Math.abs(moved) >= SWIPE_PIXELS) onSwipe(moved < 0 ? 1 : -1);
      }}
    >
      {children}
    </View>
  );
}

function Mending({ entry, work, onClose }: Pick<Props, 'entry' | 'work' | 'onClose'>): ReactElement | null {
  const { amend } = viewOf(entry.content.kind);
  if (entryKinds[entry.content.kind].withdraw === null) return null;
  return (
    <>
      {amend === null ? null : <Amending entry={entry} work={work} amend={amend} onClose={onClose} />}
      <Withdrawing entry={entry} work={work} onClose={onClose} />
    </>
  );
}

interface AmendingProps extends Pick<Props, 'entry' | 'work' | 'onClose'> {
  readonly amend: NonNullable<ReturnType<typeof viewOf>['amend']>;
}

function Amending({ entry, work, amend, onClose }: AmendingProps): ReactElement {
  const ask = (text: string) => amend.ask({ workOrderId: work.id, entryId: entry.id }, entry.content, text);
  const { form, submit, refusal } = useOperationForm({
    operation: amend.operation,
    about: entry.id,
    defaultValues: { text: amend.typed(entry.content) },
    read: ({ text }) => {
      const asked = ask(text);
      return asked === null
        ? { unreadable: 'text', hint: typeof amend.hint === 'string' ? amend.hint : amend.hint(text) }
        : { args: asked.args };
    },
    fieldOf: () => 'text',
    said: (_, { text }) => ask(text)?.said ?? '',
    onDone: onClose,
  });
  return (
    <>
      <FormField control={form.control} name="text" label={amend.label} lines={amend.lines} />
      <FormRefusal sentence={refusal} />
      <Button word="Amend" icon={mdiPencilOutline} onPress={submit} />
    </>
  );
}

function Withdrawing({ entry, work, onClose }: Pick<Props, 'entry' | 'work' | 'onClose'>): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'entry.withdraw',
    about: entry.id,
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

const sheet = StyleSheet.create({
  through: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: 8 },
});
