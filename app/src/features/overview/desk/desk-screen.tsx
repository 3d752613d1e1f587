import { useRouter } from 'expo-router';
import { useCallback, useEffect, useMemo, useRef, useState, type ReactElement } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import { isLate } from '@oilcan/core/finishing/shift';
import { isOpen } from '@oilcan/core/orders/work';
import { accept, settleAcceptingOnLeaving } from '../../../data/store/accepting';
import { usePhone, useTable } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { Section } from '../../../ui/layout/section';
import { RULE, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { Way } from '../../../ui/press/way';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { CatalogueSheet } from '../../recording/faults';
import { DeskGoAhead } from '../../recording/go-ahead';
import { useCommand } from '../../frame/keys/commands';
import { DemandsSheet } from '../../finishing/lifecycle';
import { TopBar } from '../../frame/page/top-bar';
import { RulesSheet } from '../../orders/raise-rules';
import { DeskReports } from '../../raising/reports';
import { LimitsSheet, ReviewPane, ReviewRow, useReviews, type SheetOfWork, type Waiting } from '../../finishing/review';
import { DeskKeys } from './desk-keys';
import { UnderwayRow } from './underway-row';
import { WorstLine } from './worst-line';
import { UndeliveredMails } from './undelivered-mails';
import { asList, List } from '../../../ui/layout/list';
import { IsBesideMain } from '../../frame/page/pane';

const asRows = asList('Work to be accepted');

const keyOf = ({ work }: Waiting): string => work.id;

/** The lead's view: what was finished and waits to be looked at, the unusual first; on a wide screen each beside the list. */
export function DeskScreen({ Sheet }: { readonly Sheet: SheetOfWork }): ReactElement {
  const palette = usePalette();
  const router = useRouter();
  const isWide = useIsWide();
  const waiting = useReviews();
  const list = useRef<FlatList<Waiting>>(null);
  const [opened, setOpened] = useState<string | null>(null);
  /** Those that are accepted together; null while they are looked at one by one. */
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const open = waiting.find(({ work }) => work.id === opened) ?? (isWide ? waiting[0] : undefined);

  const go = (by: 1 | -1): void => {
    const at = waiting.findIndex(({ work }) => work.id === open?.work.id);
    const next = waiting[Math.min(waiting.length - 1, Math.max(0, at + by))];
    if (next === undefined) return;
    setOpened(next.work.id);
    list.current?.scrollToIndex({ index: waiting.indexOf(next), viewPosition: 0.3, animated: false });
  };
  useCommand('next', () => go(1));
  useCommand('previous', () => go(-1));

  useEffect(settleAcceptingOnLeaving, []);
  /** The next takes the place of what was accepted, so that a list is looked through without going back to it. */
  const acceptOne = useCallback(
    (id: string): void => {
      const at = waiting.findIndex(({ work }) => work.id === id);
      setOpened((waiting[at + 1] ?? waiting[at - 1])?.work.id ?? null);
      accept([asId<WorkOrderId>(id)]);
    },
    [waiting],
  );
  const press = useCallback(
    (id: string): void => {
      if (chosen !== null) {
        const next = new Set(chosen);
        if (!next.delete(id)) next.add(id);
        setChosen(next);
      } else if (isWide) setOpened(id);
      else router.navigate(`/shift/${id}`);
    },
    [chosen, isWide, router],
  );
  const openId = isWide ? open?.work.id : undefined;
  const renderItem = useCallback(
    ({ item }: { readonly item: Waiting }) => (
      <ReviewRow
        waiting={item}
        isOpen={item.work.id === openId}
        isChosen={chosen === null ? null : chosen.has(item.work.id)}
        onPress={press}
      />
    ),
    [openId, chosen, press],
  );
  const rows = (
    <FlatList
      ref={list}
      role="main"
      {...asRows}
      data={waiting}
      keyExtractor={keyOf}
      renderItem={renderItem}
      initialNumToRender={10}
      windowSize={5}
      onScrollToIndexFailed={() => undefined}
      contentContainerStyle={sheet.content}
      ListHeaderComponent={
        <DeskHead
          waiting={waiting}
          chosen={chosen}
          onChoose={setChosen}
          onAccept={(ids) => {
            setChosen(null);
            accept(ids.map((id) => asId<WorkOrderId>(id)));
          }}
        />
      }
      ListFooterComponent={
        <>
          <Underway />
          <Rare />
        </>
      }
    />
  );
  return (
    <View style={sheet.screen}>
      <TopBar title="Desk" />
      {isWide ? (
        <View style={sheet.columns}>
          <View style={[sheet.list, { borderColor: palette.line }]}>{rows}</View>
          {open === undefined ? null : (
            <IsBesideMain value>
              <ReviewPane key={open.work.id} waiting={open} Sheet={Sheet} onAccept={acceptOne} />
            </IsBesideMain>
          )}
          <DeskKeys />
        </View>
      ) : (
        rows
      )}
    </View>
  );
}

interface DeskHeadProps {
  readonly waiting: readonly Waiting[];
  readonly chosen: ReadonlySet<string> | null;
  readonly onChoose: (chosen: ReadonlySet<string> | null) => void;
  readonly onAccept: (ids: readonly string[]) => void;
}

/** How much waits, what is set up here, and accepting several at once. */
function DeskHead({ waiting, chosen, onChoose, onAccept }: DeskHeadProps): ReactElement {
  const unusual = waiting.filter((each) => each.unusual.length > 0).length;
  const ordinary = waiting.filter((each) => each.unusual.length === 0).map(({ work }) => work.id as string);
  return (
    <View style={sheet.head}>
      <WorstLine finished={waiting.length} />
      <UndeliveredMails />
      <Raised />
      {waiting.length === 0 ? null : (
        <>
          <AppText as="heading" level={2} style={sheet.finished}>
            {counted(waiting.length, 'finished job waits', 'finished jobs wait')} for your look
          </AppText>
          <AppText soft>
            {unusual === 0
              ? 'Nothing of it is unusual.'
              : `${unusual === waiting.length ? (unusual === 1 ? 'It is' : 'All are') : `${unusual} of them ${unusual === 1 ? 'is' : 'are'}`} unusual.`}
          </AppText>
          {waiting.length < 2 ? null : (
            <View style={sheet.buttons}>
              {chosen === null ? (
                <Button rank="quiet" word="Choose several" onPress={() => onChoose(new Set(ordinary))} />
              ) : (
                <>
                  <Button
                    rank="primary"
                    cannot={chosen.size === 0 && 'Choose a job first.'}
                    word={`Accept ${counted(chosen.size, 'job', 'jobs')}`}
                    onPress={() =>
                      onAccept(waiting.map(({ work }) => work.id as string).filter((id) => chosen.has(id)))
                    }
                  />
                  <Button rank="quiet" word="One by one" onPress={() => onChoose(null)} />
                </>
              )}
            </View>
          )}
        </>
      )}
    </View>
  );
}

/** What a lead looks at or sets up now and then. */
function Rare(): ReactElement {
  const [opened, setOpened] = useState<'choice' | 'demands' | 'limits' | 'catalogue' | 'rules' | null>(null);
  const setsForAll = usePhone(({ person }) => person?.isResponsibleForAll === true);
  const close = (): void => setOpened(null);
  return (
    <View style={sheet.rare}>
      <Way title="Who did what" href="/log" />
      <Way title="Set up" onPress={() => setOpened('choice')} />
      {opened === 'choice' ? (
        <BottomSheet title="Set up" onClose={close}>
          <AppText soft>
            What finishing waits for, from when on a job is unusual, what can fail, and how reports are taken.
          </AppText>
          <Way title="Reports, due and go-ahead" onPress={() => setOpened('rules')} />
          {setsForAll ? (
            <>
              <AppText soft>On all sites:</AppText>
              <Way title="What must be recorded" onPress={() => setOpened('demands')} />
              <Way title="What is unusual" onPress={() => setOpened('limits')} />
              <Way title="Catalogue of faults" onPress={() => setOpened('catalogue')} />
            </>
          ) : (
            <AppText soft>
              What finishing waits for, what is unusual and the catalogue of faults hold on all sites: whoever is
              responsible for all of them sets those.
            </AppText>
          )}
        </BottomSheet>
      ) : null}
      {opened === 'demands' ? <DemandsSheet onClose={close} /> : null}
      {opened === 'limits' ? <LimitsSheet onClose={close} /> : null}
      {opened === 'rules' ? <RulesSheet onClose={close} /> : null}
      {opened === 'catalogue' ? <CatalogueSheet onClose={close} /> : null}
    </View>
  );
}

/** What was reported and what was raised, and waits for a lead. */
function Raised(): ReactElement {
  return (
    <>
      <DeskReports />
      <DeskGoAhead />
    </>
  );
}

/** What is underway or rests just now. */
function Underway(): ReactElement {
  const present = useNow(30);
  const workOrders = useTable('workOrders');
  const underway = useMemo(
    () => workOrders.filter((work) => work.state === 'underway' || work.state === 'held'),
    [workOrders],
  );
  const open = workOrders.filter((work) => isOpen(work.state)).length;
  const late = workOrders.filter((work) => isLate(work, present)).length;
  return (
    <Section title="Underway and held">
      <AppText soft style={sheet.none}>
        {counted(open, 'job is', 'jobs are')} open, {late} of them late; {counted(underway.length, 'is', 'are')}{' '}
        underway or held.
      </AppText>
      <List label="Underway and held">
        {underway.map((work) => (
          <UnderwayRow key={work.id} work={work} />
        ))}
      </List>
    </Section>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  columns: { flex: 1, flexDirection: 'row', minHeight: 0 },
  list: { width: 380, borderRightWidth: RULE },
  content: { padding: 16 },
  head: { gap: 4, paddingBottom: 12 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginTop: 12 },
  none: { paddingVertical: 12 },
  finished: { paddingTop: 18 },
  rare: { paddingTop: 24 },
});
