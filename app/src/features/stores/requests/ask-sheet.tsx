import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiCamera } from '@mdi/js';
import { formatQuantity, parseQuantity, type Thousandths } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Part } from '@oilcan/core/stores/stock';
import { useReportPhoto } from '../../../data/pictures/use-report-photo';
import { now, useRow, useSettings, useTable } from '../../../data/store/store';
import { DayChoice } from '../../../forms/day-choice';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { AMOUNT_HINT } from '../../../forms/typed-words';
import { useOperationForm } from '../../../forms/use-operation-form';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Field } from '../../../ui/fields/field';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { Picture } from '../../recording/photos';
import { findParts, PartChoice } from '../choose-part';
import { useElsewhere } from '../transfers';
import { momentNeeded, type NeededBy } from './needed-by';
import { useAttendedStores } from './use-stores';

const SHOWN_RESULTS = 6;

interface Props {
  /** The job that needs it; null for none. */
  readonly work: WorkOrder | null;
  /** Which part; left out where it is still to be said. */
  readonly part?: Part | undefined;
  readonly quantity?: Thousandths;
  readonly onClose: () => void;
}

/** Asks a store for a part, or in words and a picture for one of which nobody knows the name. */
export function AskSheet({ work, part: given, quantity: wanted = 1_000, onClose }: Props): ReactElement {
  const [part, setPart] = useState(given);
  const [isInWords, setIsInWords] = useState(false);
  if (part === undefined && !isInWords)
    return <WhichPart onPart={setPart} onWords={() => setIsInWords(true)} onClose={onClose} />;
  return (
    <HowMany
      key={part?.id ?? 'words'}
      work={work}
      part={part}
      quantity={wanted}
      onOther={() => {
        setPart(undefined);
        setIsInWords(false);
      }}
      onClose={onClose}
    />
  );
}

interface WhichProps {
  readonly onPart: (part: Part) => void;
  readonly onWords: () => void;
  readonly onClose: () => void;
}

/** First of all: which. */
function WhichPart({ onPart, onWords, onClose }: WhichProps): ReactElement {
  const parts = useTable('parts');
  const [find, setFind] = useState('');
  const found = useMemo(() => findParts(parts, find).slice(0, SHOWN_RESULTS), [parts, find]);
  return (
    <BottomSheet
      title="Ask the store"
      onClose={onClose}
      foot={<Button word="I do not know what it is called" onPress={onWords} />}
    >
      <Field label="Which part: number or name" isFind value={find} onChange={setFind} autoFocus />
      {found.map((part) => (
        <PartChoice key={part.id} part={part} onPress={() => onPart(part)} />
      ))}
      {find.trim() !== '' && found.length === 0 ? <AppText live>No part fits “{find.trim()}”.</AppText> : null}
    </BottomSheet>
  );
}

interface HowManyProps {
  readonly work: WorkOrder | null;
  /** Undefined where it is said in words. */
  readonly part: Part | undefined;
  readonly quantity: Thousandths;
  readonly onOther: () => void;
  readonly onClose: () => void;
}

/** How many, by when, and where it is brought; all of it filled in with what is likeliest. */
function HowMany({ work, part, quantity: wanted, onOther, onClose }: HowManyProps): ReactElement {
  const stores = useAttendedStores(work?.siteId, part?.id);
  const place = useRow('places', work?.placeId);
  const settings = useSettings(work?.siteId);
  const successor = useRow('parts', part?.successorId);
  const [first] = stores;
  const { photo, trouble, take } = useReportPhoto();
  const zone = settings?.zone ?? 'UTC';
  const language = settings?.language ?? 'en';
  const { form, submit, refusal } = useOperationForm({
    operation: 'request.make',
    about: `${work?.id ?? 'no job'} ${part?.id ?? 'words'}`,
    defaultValues: {
      quantity: formatQuantity(wanted),
      words: '',
      bringTo: '',
      storeId: '',
      need: (work?.state === 'underway' ? 'now' : 'shift') as NeededBy,
    },
    read: ({ quantity: typed, words, bringTo, need, storeId }) => {
      const quantity = parseQuantity(typed);
      const store = stores.find(({ store: { id } }) => id === storeId)?.store ?? first?.store;
      if (quantity === undefined) return { unreadable: 'quantity', hint: AMOUNT_HINT };
      if (store === undefined) return { unreadable: 'storeId', hint: 'No store of your sites hands out parts.' };
      return {
        args: {
          storeId: store.id,
          workOrderId: work?.id ?? null,
          // On a round, the machine at whose stop it is asked for.
          ...(work === null ? {} : { assetId: work.assetId }),
          partId: part?.id ?? null,
          words: words.trim(),
          photo,
          quantity,
          neededBy: momentNeeded(need, now(), zone),
          bringTo: bringTo.trim(),
        },
      };
    },
    said: ({ quantity, storeId, words }) => {
      const store = stores.find(({ store: { id } }) => id === storeId)?.store.name ?? 'the store';
      return `Asked ${store} for ${amountOf(quantity, part ?? { unit: 'pcs' })} ${part?.name ?? words}.`;
    },
    onDone: onClose,
  });
  const [text, bringTo, need, storeId] = form.watch(['quantity', 'bringTo', 'need', 'storeId']);
  const quantity = parseQuantity(text);
  const chosen = stores.find(({ store: { id } }) => id === storeId) ?? first;
  const elsewhere = useElsewhere(part?.id, chosen?.store.id);
  const step = (by: number): void => form.setValue('quantity', formatQuantity(Math.max(1_000, (quantity ?? 0) + by)));
  const choose = (value: NeededBy): void => form.setValue('need', value);
  const unit = part?.unit ?? 'pcs';
  return (
    <BottomSheet
      title="Ask the store"
      aside={work?.number ?? ''}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={quantity === undefined ? 'Ask for it' : `Ask for ${amountOf(quantity, { unit })}`}
          onPress={submit}
        />
      }
    >
      {part === undefined ? (
        <>
          <FormField control={form.control} name="words" label="What it is, and where it sits" lines={3} autoFocus />
          <Button
            icon={mdiCamera}
            word={photo === null ? 'Photo of it' : 'Take it again'}
            onPress={() => void take()}
          />
          {photo === null ? null : <Picture content={{ ...photo, caption: 'What is needed' }} isSmall />}
        </>
      ) : (
        <View>
          <AppText as="heading">{part.name}</AppText>
          <AppText as="small" soft>
            {part.number}
            {chosen === undefined ? '' : ` · ${amountOf(chosen.onHand, part)} in ${chosen.store.name}`}
          </AppText>
          {elsewhere.length === 0 || chosen === undefined || chosen.onHand >= (quantity ?? 0) ? null : (
            <AppText as="small" soft>
              Also {elsewhere.map(({ store, onHand }) => `${amountOf(onHand, part)} in ${store.name}`).join(', ')}
            </AppText>
          )}
          {part.isObsolete ? (
            <AppText>
              No longer bought.
              {successor === undefined ? '' : ` Its successor is ${successor.number}, ${successor.name}.`}
            </AppText>
          ) : null}
        </View>
      )}
      <View style={sheet.amount}>
        <Button word="−" label="One less" isRepeatable onPress={() => step(-1_000)} />
        <View style={sheet.words}>
          <FormField control={form.control} name="quantity" label={`How many, in ${unit}`} keyboard="decimal-pad" />
        </View>
        <Button word="+" label="One more" isRepeatable onPress={() => step(1_000)} />
      </View>
      <DayChoice
        label="Needed"
        offered={[1, 2]}
        day={need}
        onChoose={choose}
        zone={zone}
        language={language}
        first={0}
        wordOf={capital}
      >
        <Choice word="Now" isChosen={need === 'now'} onPress={() => choose('now')} />
        <Choice word="In 2 hours" isChosen={need === 'twoHours'} onPress={() => choose('twoHours')} />
        <Choice word="This shift" isChosen={need === 'shift'} onPress={() => choose('shift')} />
        <Choice word="Whenever" isChosen={need === ''} onPress={() => choose('')} />
      </DayChoice>
      <Choices label="Brought where">
        <Choice word="I fetch it" isChosen={bringTo === ''} onPress={() => form.setValue('bringTo', '')} />
        {place === undefined ? null : (
          <Choice
            word={`To ${place.name}`}
            isChosen={bringTo === place.name}
            onPress={() => form.setValue('bringTo', place.name)}
          />
        )}
      </Choices>
      <FormField control={form.control} name="bringTo" label="Or brought to" />
      {stores.length < 2 ? null : (
        <Choices label="Of which store">
          {stores.map(({ store, onHand }) => (
            <Choice
              key={store.id}
              word={part === undefined ? store.name : `${store.name}, ${amountOf(onHand, part)}`}
              isChosen={store.id === chosen?.store.id}
              onPress={() => form.setValue('storeId', store.id)}
            />
          ))}
        </Choices>
      )}
      {part === undefined ? null : (
        <FormField control={form.control} name="words" label="More about it, if there is" onEnter={submit} />
      )}
      <FormRefusal sentence={refusal ?? trouble ?? form.formState.errors.storeId?.message ?? null} />
      <Button rank="quiet" word="Another part" onPress={onOther} />
    </BottomSheet>
  );
}

const capital = (said: string): string => said.charAt(0).toUpperCase() + said.slice(1);

const sheet = StyleSheet.create({
  amount: { flexDirection: 'row', alignItems: 'flex-end', gap: 8 },
  words: { flex: 1, minWidth: 0 },
});
