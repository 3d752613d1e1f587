import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatQuantity, parseQuantity, type BinId } from '@oilcan/core/kernel';
import { openAmount, type HandoutWay, type StoreRequest } from '@oilcan/core/stores/requests';
import type { Part } from '@oilcan/core/stores/stock';
import { useStockOf } from '../../../data/queries/stock';
import { peekRow, useRow, useTable } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { ReasonField } from '../../../forms/reason-field';
import { AMOUNT_HINT } from '../../../forms/typed-words';
import { useOperationForm } from '../../../forms/use-operation-form';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Field } from '../../../ui/fields/field';
import { Segments } from '../../../ui/fields/segments';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { More } from '../../../ui/press/more';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { findParts, PartChoice } from '../choose-part';
import { Picture } from '../../recording/photos';
import { AskElsewhereSheet } from '../transfers';

interface Props {
  readonly request: StoreRequest;
  readonly onClose: () => void;
}

type Pane =
  | { readonly is: 'give'; readonly part: Part | undefined }
  | { readonly is: 'which' }
  | { readonly is: 'elsewhere'; readonly part: Part }
  | { readonly is: 'decline' };

/** Hands out what was asked for: whole or in part, another part in its place, or not, with the reason. */
export function HandOutSheet({ request, onClose }: Props): ReactElement {
  const asked = useRow('parts', request.partId ?? undefined);
  const [pane, setPane] = useState<Pane>({ is: 'give', part: undefined });
  const part = pane.is === 'give' ? (pane.part ?? asked) : undefined;
  if (pane.is === 'decline')
    return <DeclineSheet request={request} onBack={() => setPane({ is: 'give', part: undefined })} onClose={onClose} />;
  if (pane.is === 'elsewhere') {
    const { storeId } = request;
    const quantity = openAmount(request);
    return (
      <AskElsewhereSheet part={pane.part} quantity={quantity} toStoreId={storeId} request={request} onClose={onClose} />
    );
  }
  if (part === undefined)
    return (
      <WhichPart
        request={request}
        onPart={(chosen) => setPane({ is: 'give', part: chosen })}
        onDecline={() => setPane({ is: 'decline' })}
        onClose={onClose}
      />
    );
  return (
    <GiveSheet
      key={part.id}
      request={request}
      part={part}
      onOther={() => setPane({ is: 'which' })}
      onElsewhere={() => setPane({ is: 'elsewhere', part })}
      onDecline={() => setPane({ is: 'decline' })}
      onClose={onClose}
    />
  );
}

interface WhichProps extends Props {
  readonly onPart: (part: Part) => void;
  readonly onDecline: () => void;
}

/** Which part it is that was asked for in words, or which one goes in its place. */
function WhichPart({ request, onPart, onDecline, onClose }: WhichProps): ReactElement {
  const parts = useTable('parts');
  const [find, setFind] = useState('');
  const found = useMemo(() => findParts(parts, find).slice(0, 6), [parts, find]);
  return (
    <BottomSheet
      title={request.partId === null ? 'Which part is it?' : 'Another part in its place'}
      onClose={onClose}
      foot={<Button word="We cannot give it" onPress={onDecline} />}
    >
      {request.words === '' ? null : <AppText>“{request.words}”</AppText>}
      {request.photo === null ? null : <Picture content={{ ...request.photo, caption: 'What is needed' }} />}
      <Field label="Find a part: number or name" isFind value={find} onChange={setFind} autoFocus />
      {found.map((part) => (
        <PartChoice key={part.id} part={part} onPress={() => onPart(part)} />
      ))}
      {find.trim() !== '' && found.length === 0 ? <AppText live>No part fits “{find.trim()}”.</AppText> : null}
    </BottomSheet>
  );
}

interface GiveProps extends Props {
  readonly part: Part;
  readonly onOther: () => void;
  readonly onElsewhere: () => void;
  readonly onDecline: () => void;
}

const waysOf = (bringTo: string): readonly (readonly [HandoutWay, string])[] => [
  ['person', bringTo === '' ? 'Over the counter' : 'To the person'],
  ['pickUp', 'Lies ready'],
  ['along', 'Along with somebody'],
];

function GiveSheet({ request, part, onOther, onElsewhere, onDecline, onClose }: GiveProps): ReactElement {
  const store = useRow('stores', request.storeId);
  const bins = useTable('bins');
  const levels = useStockOf(part.id, request.siteId);
  const inStore = useMemo(() => {
    const ids = new Set(bins.filter(({ storeId }) => storeId === request.storeId).map(({ id }) => id));
    return levels.filter(({ binId }) => ids.has(binId));
  }, [bins, levels, request.storeId]);
  const [fullest] = inStore;
  const open = openAmount(request);
  const isSame = part.id === request.partId || part.unit === request.unit;
  const there = Math.max(0, fullest?.onHand ?? 0);
  // As much as is asked for, or what there is of it; where there is nothing, the books may be wrong.
  const likely = isSame ? (there === 0 ? open : Math.min(open, there)) : 1_000;
  const { form, submit, refusal } = useOperationForm({
    operation: 'request.hand-out',
    about: `${request.id} ${part.id} ${open}`,
    defaultValues: {
      quantity: formatQuantity(likely),
      settles: formatQuantity(open),
      binId: (fullest?.binId ?? null) as BinId | null,
      way: (request.bringTo === '' ? 'person' : 'along') as HandoutWay,
      where: '',
    },
    fieldOf: (argument) => (argument === 'settles' && isSame ? 'quantity' : (argument as 'quantity')),
    read: ({ quantity: typed, settles: covers, binId, way, where }) => {
      const quantity = parseQuantity(typed);
      const settles = isSame ? quantity : parseQuantity(covers);
      if (quantity === undefined) return { unreadable: 'quantity', hint: AMOUNT_HINT };
      if (settles === undefined) return { unreadable: 'settles', hint: AMOUNT_HINT };
      if (binId === null) return { unreadable: 'binId', hint: 'Choose the bin it is from.' };
      const place = way === 'person' ? '' : where.trim();
      return { args: { requestId: request.id, partId: part.id, binId, quantity, settles, way, where: place } };
    },
    said: ({ quantity, way }) =>
      `${amountOf(quantity, part)} ${part.name} ${way === 'person' ? 'handed out' : way === 'pickUp' ? 'lie ready' : 'go along'}.`,
    onDone: onClose,
  });
  const [text, binId, way, where] = form.watch(['quantity', 'binId', 'way', 'where']);
  const quantity = parseQuantity(text);
  const level = inStore.find((each) => each.binId === binId);
  const isOver = quantity !== undefined && level !== undefined && quantity > level.onHand;
  return (
    <BottomSheet
      title={part.name}
      aside={part.number}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={quantity === undefined ? 'Hand out' : `Hand out ${amountOf(quantity, part)}`}
          onPress={submit}
        />
      }
    >
      <AppText soft>
        {amountOf(open, request)} asked for{request.partId === part.id ? '' : ' of another part'}
        {request.bringTo === '' ? '' : `, to be brought to ${request.bringTo}`}.
      </AppText>
      <FormField control={form.control} name="quantity" label={`Amount in ${part.unit}`} keyboard="decimal-pad" />
      {isSame ? null : (
        <FormField
          control={form.control}
          name="settles"
          label={`In place of how many of what was asked, in ${request.unit}`}
          keyboard="decimal-pad"
        />
      )}
      {isOver ? (
        <AppText as="label" live>
          By the books only {amountOf(level.onHand, part)} lie there. What you take is kept all the same, and the bin is
          to be counted.
        </AppText>
      ) : null}
      {inStore.length === 0 ? (
        <AppText>{store?.name ?? 'This store'} has no bin with it.</AppText>
      ) : (
        <Choices label="Bin">
          {inStore.map((each) => (
            <Choice
              key={each.binId}
              word={`Bin ${peekRow('bins', each.binId)?.label ?? ''}, ${amountOf(each.onHand, part)}`}
              isChosen={each.binId === binId}
              onPress={() => form.setValue('binId', each.binId)}
            />
          ))}
        </Choices>
      )}
      <Segments
        label="How it gets there"
        value={way}
        choices={waysOf(request.bringTo)}
        onChoose={(chosen) => form.setValue('way', chosen)}
      />
      {way === 'pickUp' ? (
        <>
          <Choices label="Where it lies">
            {(store?.pickUpPlaces ?? []).map((place) => (
              <Choice
                key={place}
                word={place}
                isChosen={where === place}
                onPress={() => form.setValue('where', place)}
              />
            ))}
          </Choices>
          <FormField control={form.control} name="where" label="Where it lies" />
        </>
      ) : null}
      {way === 'along' ? <FormField control={form.control} name="where" label="Who takes it along" /> : null}
      <FormRefusal sentence={refusal ?? form.formState.errors.binId?.message ?? null} />
      <More label="what else can be done with this request">
        <Button rank="quiet" word="Another part in its place" onPress={onOther} />
        <Button rank="quiet" word="Have it sent by another store" onPress={onElsewhere} />
        <Button rank="final" word="We cannot give it" onPress={onDecline} />
      </More>
    </BottomSheet>
  );
}

/** Why the store cannot give it. */
function DeclineSheet({ request, onBack, onClose }: Props & { readonly onBack: () => void }): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'request.decline',
    about: request.id,
    defaultValues: { reason: '' },
    read: ({ reason }) => ({ args: { requestId: request.id, reason: reason.trim() } }),
    said: 'Whoever asked is told.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="We cannot give it"
      onClose={onClose}
      foot={
        <View style={sheet.foot}>
          <Button word="Back" onPress={onBack} />
          <Button rank="primary" word="Tell whoever asked" onPress={submit} />
        </View>
      }
    >
      <ReasonField
        form={form}
        label="Why"
        usual={['None left, ordered', 'None left, not ordered', 'Not kept here', 'Nobody knows what is meant']}
        onEnter={submit}
      />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({ foot: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } });
