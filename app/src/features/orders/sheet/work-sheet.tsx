import { useRouter } from 'expo-router';
import { useDeferredValue, useMemo, useCallback, useEffect, useRef, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View, type NativeScrollEvent, type NativeSyntheticEvent } from 'react-native';
import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Owed } from '@oilcan/core/finishing/lifecycle';
import { isClosed, isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { lookUpWork, peekRow, usePhone, useRow, useRows } from '../../../data/store/store';
import { Dipstick } from '../../../ui/drawn/dipstick';
import { Button } from '../../../ui/press/press';
import { useNotice } from '../../../ui/state/use-notice';
import { RULE, useIsBroad, useIsNarrow, useIsWide, useIsWindowWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { RememberedJob } from '../../past/past';
import { Words } from '../../../ui/theme/words';
import { stateOf } from '../../../words/work-words';
import { OthersWork, useIsOurs } from '../work';
import { useLandmark } from '../../frame/page/pane';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { useOpenParams } from '../../frame/page/use-open-params';
import { useKeptScroll } from '../../frame/page/use-kept-scroll';
import { useCommand } from '../../frame/keys/commands';
import { amendSheets, dockItems } from '../../frame/registry/views';
import { loadMatesSheet } from '../../recording/labor';
import { useDroppedFiles } from '../../recording/attachments';
import { HazardsFirstOf, useHazardsFirst } from '../hazards';
import { Dock, DockLine } from './dock';
import { notches, useLevel, useMarks, type SheetPart } from './parts';
import { usePinnedJob } from './pinned-job';
import { PreparePart } from './prepare-part';
import { SheetHead } from './sheet-head';
import { RecordList } from '../../recording/record';
import { CodeFault } from '../../recording/faults';
import { FurtherSheet } from '../../finishing/further';
import { FinishSheet } from '../../finishing/lifecycle';
import { WhenSheet } from '../../finishing/schedule';
import { loadReturnSheets, RETURN_SHEET } from '../../finishing/return-to-service';
import { AlarmProposal, loadAlarmSheet } from '../../steps/readings';
import { goToStop, loadRoundSheets, RoundPart, useMachineInSight } from '../../steps/rounds';
import { loadShorthandSheet } from '../../recording/shorthand';
import { loadShareSheets, shareElement } from '../../recording/shares';
import { loadStepSheets, stepElement, WorkPart } from '../../steps/steps';
import { WrapUpPart } from './wrap-up-part';
import { LOCKS_ELEMENT } from '../isolation';

/** What is brought into sight comes to lie so far below the upper edge. */
const WITH_WHAT_IS_ABOVE = 96;

/** The dock is so much lower while somebody reads. */
const FOLDS = 80;
/** Scrolling by less than this was not meant. */
const MEANT = 6;

/** Loads what is recorded with. */
export async function loadItems(): Promise<void> {
  await Promise.all([
    loadStepSheets(),
    loadRoundSheets(),
    loadShareSheets(),
    loadAlarmSheet(),
    loadMatesSheet(),
    loadShorthandSheet(),
    WhenSheet.load(),
    FinishSheet.load(),
    FurtherSheet.load(),
    loadReturnSheets(),
    ...dockItems.map(({ Sheet }) => Sheet.load()),
    ...amendSheets.map((sheet) => sheet.load()),
  ]);
}

/**
 * A work order: one scroll from Prepare through Work to Wrap up, the dipstick beside it, the dock at its foot. On a broad screen
 * Prepare stands beside Work, and both are in sight.
 */
export function WorkSheet({ workOrderId }: { readonly workOrderId: string }): ReactElement | null {
  const isWide = useIsWide();
  const back = useBack('/shift');
  const work = useRow('workOrders', workOrderId);
  const phase = usePhone((state) => state.phase);
  const hasRows = usePhone((state) => state.hasRows);
  if (phase === 'opening') return null;
  if (work === undefined) {
    return (
      <View style={sheet.screen}>
        <TopBar title="Work order" {...back} />
        <ScrollView contentContainerStyle={sheet.missing} role="main">
          {hasRows ? <MissingWork workOrderId={workOrderId} /> : <Words live>Fetching your work …</Words>}
        </ScrollView>
      </View>
    );
  }
  return <LoadedSheet key={work.id} work={work} isWide={isWide} />;
}

/** Work that ended a while ago is not carried: it is looked up, and shows as soon as it came. */
function MissingWork({ workOrderId }: { readonly workOrderId: string }): ReactElement {
  const heardAt = usePhone((state) => state.heardAt);
  const [isLookedUp, setIsLookedUp] = useState(false);
  useEffect(() => {
    void lookUpWork(asId<WorkOrderId>(workOrderId)).finally(() => setIsLookedUp(true));
  }, [workOrderId, heardAt]);
  if (!isLookedUp) return <Words live>Looking it up …</Words>;
  const missing = (
    <Words live>
      This work order is not on this phone: it ended a while ago and there is no signal to look it up, or it is on a
      site that you do not see.
    </Words>
  );
  return <RememberedJob workOrderId={workOrderId} otherwise={missing} />;
}

function LoadedSheet({ work, isWide }: { readonly work: WorkOrder; readonly isWide: boolean }): ReactElement {
  const palette = usePalette();
  const back = useBack('/shift');
  const scroller = useRef<ScrollView>(null);
  const kept = useKeptScroll(`/shift/${work.id}`, scroller);
  const landmark = useLandmark(work.title);
  const elements = useRef<Partial<Record<SheetPart, HTMLElement | null>>>({});
  const isBroad = useIsBroad();
  const isWindowWide = useIsWindowWide();
  // With very large text the dock has room for its keys alone, and its line stands in the sheet.
  const isDockNarrow = useIsNarrow();
  const stops = useRows('stops', 'workOrder', work.id);
  const beside = useRef<ScrollView>(null);
  const [isReading, setIsReading] = useState(false);
  const scrolledTo = useRef(0);
  const scrolledHeight = useRef(0);
  const [current, setCurrent] = useState<SheetPart>(isBroad ? 'work' : 'prepare');
  const [dock, setDock] = useState<string | null>(null);
  const [about, setAbout] = useState<string | undefined>();
  const { work: opened, part: scanned } = useOpenParams();
  const router = useRouter();
  useEffect(() => {
    if (opened !== work.id || scanned === undefined) return;
    setAbout(scanned);
    setDock('part');
    // Once: it is not opened again by coming back or by a reload.
    router.setParams({ part: undefined });
  }, [opened, scanned, work.id, router]);
  const [coding, setCoding] = useState<string | null>(null);
  const say = useNotice((state) => state.say);

  const place = useMemo(() => {
    const on = (part: SheetPart) => (element: HTMLElement | null) => void (elements.current[part] = element);
    return { prepare: on('prepare'), work: on('work'), wrapUp: on('wrapUp') };
  }, []);
  // What a press changes of the job itself stands in its head and in Wrap up: the long rest follows a frame later.
  const follower = useDeferredValue(work);
  const following = follower.id === work.id ? follower : work;
  const goTo = useCallback((part: SheetPart): void => {
    if (part === 'prepare') return scrollTo(beside.current ?? scroller.current, 0);
    scrollTo(scroller.current, topOf(elements.current[part], scroller.current) ?? 0);
  }, []);
  const bringIntoSight = (elementId: string): void => {
    // Two jobs may be open side by side: what is looked for is in this one.
    const found = (of: ScrollView | null): HTMLElement | null =>
      scrollFrame(of)?.querySelector<HTMLElement>(`#${CSS.escape(elementId)}`) ?? null;
    const within = found(beside.current) === null ? scroller.current : beside.current;
    const element = found(within);
    const top = topOf(element, within);
    if (element === null || top === null) return;
    scrollTo(within, Math.max(0, top - WITH_WHAT_IS_ABOVE));
    element.querySelector<HTMLElement>('[role]:not([role=radiogroup])')?.focus({ preventScroll: true });
  };
  const follow = (event: NativeSyntheticEvent<NativeScrollEvent>): void => {
    kept.onScroll(event);
    const { contentOffset, layoutMeasurement, contentSize } = event.nativeEvent;
    const line = contentOffset.y + layoutMeasurement.height * 0.4;
    const isAtFoot = contentOffset.y + layoutMeasurement.height >= contentSize.height - 4 && contentOffset.y > 0;
    const moved = contentOffset.y - scrolledTo.current;
    scrolledTo.current = contentOffset.y;
    // A row that came in above moves the page too, and nobody meant that.
    const hasGrown = contentSize.height !== scrolledHeight.current;
    scrolledHeight.current = contentSize.height;
    // At the foot the fold itself would scroll the page.
    const isNearFoot = contentSize.height - contentOffset.y - layoutMeasurement.height < FOLDS;
    if (!isNearFoot && !hasGrown && Math.abs(moved) >= MEANT) setIsReading(moved > 0 && contentOffset.y > FOLDS);
    const isPast = (part: SheetPart): boolean =>
      line >= (topOf(elements.current[part], scroller.current) ?? Number.POSITIVE_INFINITY);
    const part = isAtFoot || isPast('wrapUp') ? 'wrapUp' : isPast('work') ? 'work' : 'prepare';
    if (part !== current) setCurrent(part);
  };
  const bringStepIntoSight = (stepId: string): void => {
    const stopId = peekRow('steps', stepId)?.stopId ?? null;
    if (stops.length > 0) goToStop(work.id, stopId ?? 'end');
    // Of a round only one stop is drawn: it is there in the next frame.
    requestAnimationFrame(() => bringIntoSight(stepElement(stepId)));
  };
  const openDock = useCallback((name: string | null): void => {
    setAbout(undefined);
    setDock(name);
  }, []);
  const mend = (owed: Owed): void => {
    switch (owed.what) {
      case 'step':
        return bringStepIntoSight(owed.stepId);
      case 'share':
        return bringIntoSight(shareElement(owed.shareId));
      case 'time':
      case 'fault':
      case 'part':
      case 'stoppage':
        return setDock(owed.what);
      case 'stoppageEnd':
        return setDock('stoppage');
      case 'photo':
        return setDock('note');
      case 'reading':
        setAbout(owed.pointId);
        return setDock('reading');
      case 'signature':
        return setDock(RETURN_SHEET);
      case 'timeOfAnother':
        return say('They are told when you finish, and can still add it.');
      case 'codes':
        return setCoding(owed.entryId);
      case 'lock':
        return bringIntoSight(LOCKS_ELEMENT);
      case 'clockOfAnother':
        return say('Ask them to stop it, or let them finish the job.');
    }
  };
  const toParts = useCallback((): void => openDock('part'), [openDock]);
  const toHazards = useCallback((): void => goTo('prepare'), [goTo]);
  const hazardsFirst = useHazardsFirst(work, toHazards);
  useCommand('open', () => {
    const node = scrollFrame(scroller.current);
    node?.setAttribute('tabindex', '-1');
    node?.focus();
  });
  const isOurs = useIsOurs(work);
  useDroppedFiles(work.id, useMachineInSight(work), isWide && isOurs && isOpen(work.state));
  const dockPiece = isOurs ? (
    <Dock
      work={work}
      open={dock}
      about={about}
      onOpen={openDock}
      onHazards={hazardsFirst}
      isFolded={!isWide && isReading}
      onTouch={() => setIsReading(false)}
    />
  ) : (
    <OthersWork work={work} />
  );

  return (
    <HazardsFirstOf.Provider value={hazardsFirst}>
      <View style={sheet.screen}>
        <TopBar
          title={work.number}
          pageTitle={`${work.number} ${work.title}`}
          aside={stateOf(work)}
          isNamedBelow
          {...(isWindowWide ? { isBeside: true } : back)}
        >
          {isWindowWide ? <PinButton workOrderId={work.id} /> : isDockNarrow ? null : <RaiseHere work={work} />}
        </TopBar>
        {isBroad ? (
          <View style={[sheet.over, { borderColor: palette.line }]}>
            <SheetHead work={work} />
          </View>
        ) : null}
        <View style={sheet.columns}>
          <SheetDipstick work={work} current={current} onGoTo={goTo} />
          {isBroad ? (
            <ScrollView
              ref={beside}
              role="complementary"
              aria-label="Prepare"
              style={[sheet.scroll, sheet.beside, { borderColor: palette.line }]}
              contentContainerStyle={sheet.content}
            >
              <PreparePart work={following} onPlaced={place.prepare} onParts={isOurs ? toParts : null} />
            </ScrollView>
          ) : null}
          <ScrollView
            ref={scroller}
            {...landmark}
            style={sheet.scroll}
            contentContainerStyle={sheet.content}
            {...kept}
            onScroll={follow}
            scrollEventThrottle={64}
            testID="sheet-scroll"
          >
            <View style={isWide && sheet.readable}>
              {isBroad ? null : (
                <>
                  <SheetHead work={work} />
                  {isDockNarrow && isOurs ? <DockLine work={work} onHazards={hazardsFirst} /> : null}
                  {isDockNarrow ? <RaiseHere work={work} /> : null}
                  <PreparePart work={following} onPlaced={place.prepare} onParts={isOurs ? toParts : null} />
                </>
              )}
              {stops.length === 0 ? (
                <WorkPart work={following} onPlaced={place.work} />
              ) : (
                <RoundPart work={following} stops={stops} onPlaced={place.work} />
              )}
              <WrapUpPart work={work} onPlaced={place.wrapUp} onMend={mend} open={dock} onOpen={openDock} />
              {isWide ? null : <RecordList work={following} />}
            </View>
          </ScrollView>
          {isWide ? (
            <View style={[sheet.recordColumn, { borderColor: palette.line, backgroundColor: palette.card }]}>
              {dockPiece}
              <ScrollView
                role="complementary"
                aria-label="Record"
                style={sheet.scroll}
                contentContainerStyle={sheet.recordContent}
              >
                <RecordList work={following} />
              </ScrollView>
            </View>
          ) : null}
        </View>
        {isWide ? null : dockPiece}
        <AlarmProposal work={work} />
        <CodeFault work={work} entryId={coding} onClose={() => setCoding(null)} />
      </View>
    </HazardsFirstOf.Provider>
  );
}

/** From a job on a phone, where the dock stands in the place of the foot: raises something at the machine in sight. */
function RaiseHere({ work }: { readonly work: WorkOrder }): ReactElement {
  const router = useRouter();
  const assetId = useMachineInSight(work);
  return (
    <Button
      rank="quiet"
      word="Raise"
      onPress={() => router.navigate(`/raise?asset=${assetId}${isClosed(work.state) ? '' : `&from=${work.id}`}`)}
    />
  );
}

/** Keeps this job beside whatever is opened next, or lets go of it. */
function PinButton({ workOrderId }: { readonly workOrderId: string }): ReactElement {
  const { workOrderId: pinned, pin } = usePinnedJob();
  return pinned === workOrderId ? (
    <Button word="Close" label="Close the job that is kept beside" onPress={() => pin(null)} />
  ) : (
    <Button word="Keep beside" onPress={() => pin(workOrderId)} />
  );
}

function scrollTo(scroller: ScrollView | null, y: number): void {
  const animated = !globalThis.matchMedia('(prefers-reduced-motion: reduce)').matches;
  scroller?.scrollTo({ y, animated });
}

/** What scrolls, in the page. */
function scrollFrame(scroller: ScrollView | null): HTMLElement | null {
  return (scroller?.getScrollableNode() as HTMLElement | undefined) ?? null;
}

/** How far down an element lies. Asked for whenever it is needed: what comes in above it moves it. */
function topOf(element: HTMLElement | null | undefined, scroller: ScrollView | null): number | null {
  const frame = scrollFrame(scroller);
  if (frame === null || element === null || element === undefined) return null;
  return element.getBoundingClientRect().top - frame.getBoundingClientRect().top + frame.scrollTop;
}

interface SheetDipstickProps {
  readonly work: WorkOrder;
  readonly current: SheetPart;
  readonly onGoTo: (part: SheetPart) => void;
}

/** Follows the steps by itself, so that a tick does not draw the whole sheet again. */
function SheetDipstick({ work, current, onGoTo }: SheetDipstickProps): ReactElement {
  return <Dipstick notches={notches} marks={useMarks(work)} level={useLevel(work)} current={current} onGoTo={onGoTo} />;
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0, minWidth: 0 },
  missing: { padding: 16 },
  columns: { flex: 1, flexDirection: 'row', minHeight: 0 },
  over: { paddingHorizontal: 16, paddingBottom: 10, borderBottomWidth: RULE },
  beside: { borderRightWidth: RULE },
  scroll: { flex: 1, minHeight: 0 },
  content: { paddingHorizontal: 14, paddingBottom: 24 },
  readable: { maxWidth: 640, width: '100%', alignSelf: 'center' },
  recordColumn: { width: 330, borderLeftWidth: 2 },
  recordContent: { paddingHorizontal: 16, paddingBottom: 24 },
});
