import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiStorefrontOutline } from '@mdi/js';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { openAmount, requestState, type Handout, type StoreRequest } from '@oilcan/core/stores/requests';
import { peekRow, useRow, useRows } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { useNotice } from '../../../ui/state/use-notice';
import { List } from '../../../ui/layout/list';
import { Row } from '../../../ui/layout/section';
import { Button } from '../../../ui/press/press';
import { Icon } from '../../../ui/theme/icon';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { handoutWords, requestWords } from './request-words';

/** What a job asked of stores, and how that stands; nothing where it asked for nothing. */
export function JobRequests({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const requests = useRows('requests', 'work', work.id);
  const shown = requests.filter((request) => requestState(request) !== 'withdrawn');
  if (shown.length === 0) return null;
  return (
    <View>
      <AppText as="label" level={3}>
        Asked of the store
      </AppText>
      <List label="Asked of the store">
        {shown.map((request) => (
          <RequestRow key={request.id} request={request} />
        ))}
      </List>
    </View>
  );
}

/** One thing that was asked for: what it is, how it stands, and what whoever asked can do about it. */
export function RequestRow({
  request,
  number = null,
}: {
  readonly request: StoreRequest;
  /** Of its job, where the row does not stand on it. */
  readonly number?: string | null;
}): ReactElement {
  const part = useRow('parts', request.partId ?? undefined);
  const store = useRow('stores', request.storeId);
  const name = part?.name ?? request.words;
  const [isAsking, setIsAsking] = useState(false);
  const waiting = request.handouts.filter(({ receivedAt }) => receivedAt === null);
  const left = request.handouts.filter(({ quantity, returned }) => returned < quantity);
  const say = useNotice((state) => state.say);
  const withdraw = async (): Promise<void> => {
    if (await performOrSay('request.withdraw', { requestId: request.id, reason: '' }))
      say(`${name} is not asked for any more.`);
  };
  const receive = async (handout: Handout): Promise<void> => {
    await performOrSay('request.receive', { requestId: request.id, handoutId: handout.id });
  };
  const bringBack = async ({ id, binId, partId, quantity, returned }: Handout): Promise<void> => {
    const args = { requestId: request.id, handoutId: id, binId, quantity: quantity - returned };
    const given = peekRow('parts', partId);
    if (await performOrSay('request.bring-back', args))
      say(`${amountOf(quantity - returned, given)} ${given?.name ?? ''} back.`);
  };
  const hasMore = openAmount(request) > 0 || left.length > 0;
  return (
    <Row wraps>
      <Icon path={mdiStorefrontOutline} />
      <View style={sheet.words}>
        <AppText>
          {amountOf(request.quantity, request)} {name}
        </AppText>
        <AppText as="small" soft>
          {number === null ? '' : `${number} · `}
          {store?.name ?? 'The store'}: {requestWords(request)}
        </AppText>
        {request.handouts.length < 2
          ? null
          : request.handouts.map((handout) => (
              <AppText key={handout.id} as="small" soft>
                {amountOf(handout.quantity, peekRow('parts', handout.partId))}: {handoutWords(handout)}
                {handout.returned > 0
                  ? `, ${amountOf(handout.returned, peekRow('parts', handout.partId))} came back`
                  : ''}
              </AppText>
            ))}
      </View>
      <View style={sheet.keys}>
        {waiting.map((handout) => (
          <Button
            key={handout.id}
            word="I have it"
            label={`I have it: ${amountOf(handout.quantity, request)} ${name}`}
            onPress={() => void receive(handout)}
          />
        ))}
        {hasMore ? (
          <Button
            rank="quiet"
            word={isAsking ? 'Close' : 'Change'}
            label={`${isAsking ? 'Close' : 'Change'}: ${name}`}
            onPress={() => setIsAsking(!isAsking)}
          />
        ) : null}
      </View>
      {isAsking ? (
        <View style={sheet.more}>
          {left.map((handout) => {
            const given = peekRow('parts', handout.partId);
            const amount = amountOf(handout.quantity - handout.returned, given);
            return (
              <Button
                key={handout.id}
                word={`Not used: ${amount} back to bin ${peekRow('bins', handout.binId)?.label ?? ''}`}
                onPress={() => void bringBack(handout)}
              />
            );
          })}
          {openAmount(request) > 0 ? (
            <Button rank="final" word="Not needed any more" onPress={() => void withdraw()} />
          ) : null}
        </View>
      ) : null}
    </Row>
  );
}

const sheet = StyleSheet.create({
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 160, minWidth: 0 },
  keys: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  more: { width: '100%', flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
