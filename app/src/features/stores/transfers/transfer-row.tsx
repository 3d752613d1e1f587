import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiTruckOutline } from '@mdi/js';
import { hasRole } from '@oilcan/core/operations';
import { inTransit, transferState, type Transfer } from '@oilcan/core/stores/transfers';
import { usePhone, useRow, useSettings } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { Row } from '../../../ui/layout/section';
import { Button } from '../../../ui/press/press';
import { Icon } from '../../../ui/theme/icon';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { sayMoment } from '../../../words/dates';
import { joined } from '../../../words/joined';
import { ArriveSheet, NotComingSheet, SendSheet } from './transfer-sheets';

type Over = 'send' | 'arrive' | 'notComing';

/** One part between two stores: how it stands, and what whoever is at either end does about it. */
export function TransferRow({ transfer }: { readonly transfer: Transfer }): ReactElement | null {
  const part = useRow('parts', transfer.partId);
  const from = useRow('stores', transfer.fromStoreId);
  const to = useRow('stores', transfer.toStoreId);
  const work = useRow('workOrders', transfer.workOrderId ?? undefined);
  const sender = useRow('people', transfer.sent?.by);
  const settings = useSettings(transfer.toSiteId);
  const now = useNow(60);
  const person = usePhone((state) => state.person);
  const [over, setOver] = useState<Over | null>(null);
  if (part === undefined || person === null) return null;
  const keeps = hasRole(person, ['storekeeper', 'lead']);
  const isOf = (siteId: string): boolean => person.siteIds.some((id) => id === siteId);
  const state = transferState(transfer);
  const way = `from ${from?.name ?? 'a store'} to ${to?.name ?? 'a store'}`;
  const amount = state === 'asked' ? transfer.quantity : inTransit(transfer);
  const say = (at: NonNullable<Transfer['sent']>['at']): string =>
    sayMoment(at, now, settings?.zone ?? 'UTC', settings?.language ?? 'en');
  const sent = transfer.sent;
  const close = (): void => setOver(null);
  return (
    <Row wraps>
      <Icon path={mdiTruckOutline} />
      <View style={sheet.words}>
        <AppText>
          {amountOf(amount, part)} {part.name}
        </AppText>
        <AppText as="small" soft>
          {joined([
            state === 'asked' ? `asked ${way}` : `on the way ${way}`,
            sent === null ? '' : `sent ${say(sent.at)} by ${sender?.name ?? 'somebody'}`,
            sent === null || sent.along === '' ? '' : `with ${sent.along}`,
            work?.number ?? '',
            transfer.note === '' ? '' : `“${transfer.note}”`,
          ])}
        </AppText>
      </View>
      <View style={sheet.keys}>
        {state === 'asked' && keeps && isOf(transfer.fromSiteId) ? (
          <Button word="Send it" label={`Send ${part.name}`} onPress={() => setOver('send')} />
        ) : null}
        {state === 'inTransit' && isOf(transfer.toSiteId) ? (
          <Button word="It is here" label={`It is here: ${part.name}`} onPress={() => setOver('arrive')} />
        ) : null}
        <Button
          rank="quiet"
          word="It does not come"
          label={`It does not come: ${part.name}`}
          cannot={state === 'inTransit' && !keeps && 'Only a storekeeper or a lead writes off what is on the way.'}
          onPress={() => setOver('notComing')}
        />
      </View>
      {over === 'send' ? <SendSheet transfer={transfer} part={part} onClose={close} /> : null}
      {over === 'arrive' ? <ArriveSheet transfer={transfer} part={part} onClose={close} /> : null}
      {over === 'notComing' ? <NotComingSheet transfer={transfer} part={part} onClose={close} /> : null}
    </Row>
  );
}

const sheet = StyleSheet.create({
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
});
