import { useMemo, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { formatMoney, type PartId } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { partStanding } from '@oilcan/core/stores/issue';
import { requestState } from '@oilcan/core/stores/requests';
import { isLow, partCost, usedIn, wantsCount, type Part, type StockLevel } from '@oilcan/core/stores/stock';
import { useStockOf, useUnitPrices } from '../../../data/queries/stock';
import { peekRow, peekRows, usePhone, useRow, useSettings, useTable } from '../../../data/store/store';
import { FactKey } from '../../../ui/layout/fact';
import { Row, Section } from '../../../ui/layout/section';
import { Button } from '../../../ui/press/press';
import { Way } from '../../../ui/press/way';
import { useIsWide } from '../../../ui/theme/theme';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { joined } from '../../../words/joined';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { AskSheet, RequestRow } from '../requests';
import { TransferRow } from '../transfers';
import { BinSheet } from '../stores';
import { PartMovements } from './part-movements';
import { standingWords } from './standing-words';

/** All that is known of a part: how it stands, where it lies, who wants it, where it sits, what moved. */
export function PartScreen({ partId }: { readonly partId: string }): ReactElement {
  const back = useBack('/stores');
  const part = useRow('parts', partId as PartId);
  return (
    <View style={sheet.screen}>
      <TopBar title={part?.number ?? 'Part'} pageTitle={part?.name ?? 'Part'} isNamedBelow {...back} />
      {part === undefined ? (
        <AppText style={sheet.content}>This phone knows no such part.</AppText>
      ) : (
        <PartPage key={part.id} part={part} />
      )}
    </View>
  );
}

function PartPage({ part }: { readonly part: Part }): ReactElement {
  const isWide = useIsWide();
  const [isAsking, setIsAsking] = useState(false);
  const isAttended = useTable('stores').some((store) => store.isAttended === true);
  const standing = useStanding(part);
  const settings = useSettings();
  const price = useUnitPrices()(part, useStockOf(part.id)[0]?.siteId);
  const successor = useRow('parts', part.successorId);
  const replaced = useTable('parts').filter(({ successorId }) => successorId === part.id);
  const facts = joined([
    part.number,
    price === undefined || settings === undefined
      ? ''
      : `${formatMoney(partCost(1_000, price), settings.language)} per ${part.unit}`,
    part.isObsolete ? 'no longer bought' : '',
  ]);
  return (
    <ScrollView role="main" contentContainerStyle={sheet.content}>
      <View style={sheet.head}>
        <AppText as="title" level={1}>
          {part.name}
        </AppText>
        <AppText soft>{facts}</AppText>
        <AppText>{standingWords(standing, part)}</AppText>
        {isAttended ? (
          <View style={sheet.keys}>
            <Button word="Ask the store" label={`Ask the store for ${part.name}`} onPress={() => setIsAsking(true)} />
          </View>
        ) : null}
      </View>
      <View style={isWide ? sheet.columns : undefined}>
        <View style={isWide ? sheet.column : undefined}>
          <Bins part={part} />
          <Wanted part={part} />
          {successor === undefined && replaced.length === 0 ? null : (
            <Section title="In its place">
              {successor === undefined ? null : (
                <Way
                  title={successor.name}
                  more={`${successor.number} takes its place`}
                  href={`/stores/part/${successor.id}`}
                />
              )}
              {replaced.map((each) => (
                <Way
                  key={each.id}
                  title={each.name}
                  more={`It takes the place of ${each.number}`}
                  href={`/stores/part/${each.id}`}
                />
              ))}
            </Section>
          )}
          <SitsIn part={part} />
        </View>
        <View style={isWide ? sheet.column : undefined}>
          <PartMovements part={part} />
        </View>
      </View>
      {isAsking ? <AskSheet work={null} part={part} onClose={() => setIsAsking(false)} /> : null}
    </ScrollView>
  );
}

function useStanding(part: Part) {
  const levels = useTable('stock');
  const requests = useTable('requests');
  const transfers = useTable('transfers');
  const works = useTable('workOrders');
  return useMemo(() => {
    const usedOn = (id: string): number => usedIn(peekRows('entries', 'workOrder', id))(part.id);
    return partStanding(part, { levels, requests, transfers, works, usedOn });
  }, [part, levels, requests, transfers, works]);
}

/** Where it lies and how much; who keeps the store counts there, or says what came in. */
function Bins({ part }: { readonly part: Part }): ReactElement {
  const levels = useStockOf(part.id);
  return (
    <Section title="Where it lies">
      {levels.length === 0 ? <AppText soft>No bin holds it.</AppText> : null}
      {levels.map((level) => (
        <BinRow key={level.id} part={part} level={level} />
      ))}
    </Section>
  );
}

function BinRow({ part, level }: { readonly part: Part; readonly level: StockLevel }): ReactElement {
  const bin = useRow('bins', level.binId);
  const store = useRow('stores', bin?.storeId);
  const keeps = usePhone(({ person }) => person !== null && hasRole(person, ['storekeeper', 'lead']));
  const [isOpen, setIsOpen] = useState(false);
  const amount = amountOf(level.onHand, part);
  const state = wantsCount(level) ? 'count it' : isLow(level) ? `low, below ${amountOf(level.lowLevel, part)}` : '';
  return (
    <Row wraps>
      <View style={sheet.words}>
        <AppText>
          {store?.name ?? ''}, bin {bin?.label ?? ''}
        </AppText>
        {state === '' ? null : <AppText as="label">{state}</AppText>}
      </View>
      {keeps ? (
        <FactKey
          onPress={() => setIsOpen(true)}
          label={`${amount} in ${bin?.label ?? ''}: count it, or say what came in`}
        >
          <AppText as="label">{amount}</AppText>
        </FactKey>
      ) : (
        <AppText as="label">{amount}</AppText>
      )}
      {isOpen ? <BinSheet part={part} level={level} onClose={() => setIsOpen(false)} /> : null}
    </Row>
  );
}

/** Who asks for it, and what is on the way. */
function Wanted({ part }: { readonly part: Part }): ReactElement | null {
  const requests = useTable('requests').filter((request) => request.partId === part.id && request.endedAt === null);
  const transfers = useTable('transfers').filter((each) => each.partId === part.id && each.endedAt === null);
  if (requests.length + transfers.length === 0) return null;
  return (
    <Section title="Asked for and on the way">
      {requests
        .filter((request) => requestState(request) !== 'withdrawn')
        .map((request) => (
          <RequestRow
            key={request.id}
            request={request}
            number={peekRow('workOrders', request.workOrderId ?? '')?.number ?? 'No job'}
          />
        ))}
      {transfers.map((transfer) => (
        <TransferRow key={transfer.id} transfer={transfer} />
      ))}
    </Section>
  );
}

/** The machines in which one with a number sits, and the open jobs that need some. */
function SitsIn({ part }: { readonly part: Part }): ReactElement | null {
  const installed = useTable('installations').filter(({ partId }) => partId === part.id);
  const works = useTable('workOrders').filter(
    ({ kit, closedAt, finishedAt }) =>
      closedAt === null && finishedAt === null && kit.some(({ partId }) => partId === part.id),
  );
  return (
    <>
      {works.length === 0 ? null : (
        <Section title="Open jobs that need it" aside={String(works.length)}>
          {works.map(({ id, number, title }) => (
            <Way key={id} title={title} more={number} href={`/shift/${id}`} />
          ))}
        </Section>
      )}
      {installed.length === 0 ? null : (
        <Section title="Sits in" aside={String(installed.length)}>
          {installed.map(({ id, assetId, serial }) => (
            <Way
              key={id}
              title={peekRow('assets', assetId)?.name ?? 'A machine'}
              more={`Serial ${serial}`}
              href={`/plant/${assetId}`}
            />
          ))}
        </Section>
      )}
    </>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, paddingBottom: 32, width: '100%', maxWidth: 1_180 },
  head: { gap: 8, maxWidth: 720 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  columns: { flexDirection: 'row', gap: 32 },
  column: { flex: 1, minWidth: 0 },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 160, minWidth: 0 },
});
