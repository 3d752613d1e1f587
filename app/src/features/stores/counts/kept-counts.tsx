import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatMoney } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { likelyReasons, varianceOf, type Count, type LikelyReason } from '@oilcan/core/stores/counts';
import { partCost, usedIn } from '@oilcan/core/stores/stock';
import { useUnitPrices } from '../../../data/queries/stock';
import { peekRow, peekRows, usePhone, useRow, useSettings, useTable } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { FormRefusal } from '../../../forms/form-refusal';
import { ReasonField } from '../../../forms/reason-field';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Row } from '../../../ui/layout/section';
import { Button } from '../../../ui/press/press';
import { useNotice } from '../../../ui/state/use-notice';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { joined } from '../../../words/joined';

/** What a variance is likely to come from, as a sentence. */
function reasonWords(reason: LikelyReason, unit: string): string {
  switch (reason.is) {
    case 'liesReady':
      return `${amountOf(reason.quantity, { unit })} lie ready for somebody and were not fetched`;
    case 'arrived':
      return `${amountOf(reason.quantity, { unit })} are on the way here by the books, and may have come`;
    case 'notUnpacked':
      return 'Some came in lately and may not be unpacked';
    case 'job':
      return `${reason.number} needs ${amountOf(reason.quantity, { unit })} from here, has begun, and wrote none`;
  }
}

function useReasons(count: Count): readonly LikelyReason[] {
  const level = useRow('stock', `${count.partId}@${count.binId}`);
  const requests = useTable('requests');
  const transfers = useTable('transfers');
  const works = useTable('workOrders');
  if (varianceOf(count) === 0) return [];
  const usedOn = (id: string): number => usedIn(peekRows('entries', 'workOrder', id))(count.partId);
  return likelyReasons(count, { level, requests, transfers, works, usedOn });
}

/** One count that waits: what differs, what that is worth, what it may come from, and what becomes of it. */
export function KeptCount({ count }: { readonly count: Count }): ReactElement | null {
  const part = useRow('parts', count.partId);
  const bin = useRow('bins', count.binId);
  const by = useRow('people', count.by);
  const settings = useSettings(count.siteId);
  const unitPrice = useUnitPrices();
  const reasons = useReasons(count);
  const mayPost = usePhone(({ person }) => person !== null && hasRole(person, ['storekeeper', 'lead']));
  const [isDismissing, setIsDismissing] = useState(false);
  const say = useNotice((state) => state.say);
  if (part === undefined) return null;
  const variance = varianceOf(count);
  const price = unitPrice(part, count.siteId);
  const worth =
    price === undefined || settings === undefined
      ? ''
      : formatMoney(partCost(Math.abs(variance), price), settings.language);
  const differs =
    variance === 0
      ? 'as by the books'
      : joined([`${amountOf(Math.abs(variance), part)} ${variance > 0 ? 'more' : 'less'} than by the books`, worth]);
  const post = async (): Promise<void> => {
    const [first] = reasons;
    const reason = first === undefined ? '' : reasonWords(first, part.unit);
    if (await performOrSay('count.post', { countId: count.id, reason: reason.slice(0, 200) }))
      say(`Bin ${bin?.label ?? ''}: the books say ${amountOf(count.quantity, part)} as counted.`);
  };
  return (
    <Row wraps>
      <View style={sheet.words}>
        <AppText>
          {bin?.label ?? ''} · {amountOf(count.quantity, part)} {part.name}
        </AppText>
        <AppText as={variance === 0 ? 'small' : 'label'} {...(variance === 0 ? { soft: true } : {})}>
          {differs}
        </AppText>
        {reasons.map((reason, index) => (
          <AppText key={index} as="small" soft>
            {reasonWords(reason, part.unit)}
          </AppText>
        ))}
        <AppText as="small" soft>
          Counted by {by?.name ?? 'somebody'}
        </AppText>
      </View>
      {mayPost ? (
        <View style={sheet.keys}>
          <Button word="Post it" label={`Post the count of ${part.name}`} onPress={() => void post()} />
          <Button
            rank="quiet"
            word="Set aside"
            label={`Set aside the count of ${part.name}`}
            onPress={() => setIsDismissing(true)}
          />
        </View>
      ) : null}
      {isDismissing ? <DismissSheet count={count} onClose={() => setIsDismissing(false)} /> : null}
    </Row>
  );
}

/** Those that meet the books are nobody's decision: one press posts them all. */
export function PostThoseThatMeet({ kept }: { readonly kept: readonly Count[] }): ReactElement | null {
  const mayPost = usePhone(({ person }) => person !== null && hasRole(person, ['storekeeper', 'lead']));
  const say = useNotice((state) => state.say);
  const meet = kept.filter((count) => varianceOf(count) === 0);
  if (!mayPost || meet.length < 2) return null;
  const post = async (): Promise<void> => {
    for (const { id } of meet) if (!(await performOrSay('count.post', { countId: id, reason: '' }))) return;
    say(`${meet.length} counts posted.`);
  };
  return <Button word={`Post the ${meet.length} that meet the books`} onPress={() => void post()} />;
}

function DismissSheet({ count, onClose }: { readonly count: Count; readonly onClose: () => void }): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'count.dismiss',
    about: count.id,
    defaultValues: { reason: '' },
    read: ({ reason }) => ({ args: { countId: count.id, reason: reason.trim() } }),
    said: 'Set aside. The books stay as they are.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="Set the count aside"
      aside={peekRow('bins', count.binId)?.label ?? ''}
      onClose={onClose}
      foot={<Button rank="primary" word="Set it aside" onPress={submit} />}
    >
      <ReasonField form={form} label="Why" usual={['Wrong bin', 'Counted again', 'Found the rest']} onEnter={submit} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 200, minWidth: 0 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
});
