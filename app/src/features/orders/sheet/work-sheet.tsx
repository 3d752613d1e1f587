import { useRouter } from 'expo-router';
import { useCallback, useDeferredValue, useEffect, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Stop } from '@oilcan/core/steps/rounds';
import { isClosed, isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { lookUpWork, usePhone, useRow, useRows } from '../../../data/store/store';
import { Dipstick } from '../../../ui/drawn/dipstick';
import { Button } from '../../../ui/press/press';
import { RULE, useIsBroad, useIsNarrow, useIsWide, useIsWindowWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { RememberedJob } from '../../past/past';
import { AppText } from '../../../ui/theme/app-text';
import { stateOf } from '../../../words/work-words';
import { OthersWork, useIsOurs } from '../work';
import { useLandmark } from '../../frame/page/pane';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { useCommand } from '../../frame/keys/commands';
import { amendSheets, dockItems } from '../../frame/registry/views';
import { loadMatesSheet } from '../../recording/labor';
import { useDroppedFiles } from '../../recording/attachments';
import { HazardsFirstOf, useHazardsFirst, type HazardsFirst } from '../hazards';
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
import { loadReturnSheets } from '../../finishing/return-to-service';
import { AlarmProposal, loadAlarmSheet } from '../../steps/readings';
import { loadRoundSheets, RoundPart, useMachineInSight } from '../../steps/rounds';
import { loadShorthandSheet } from '../../recording/shorthand';
import { loadShareSheets } from '../../recording/shares';
import { loadStepSheets, WorkPart } from '../../steps/steps';
import { WrapUpPart } from './wrap-up-part';
import { useQuickSheet, type QuickSheet } from './use-quick-sheet';
import { useSheetScroll, type SheetScroll } from './use-sheet-scroll';

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
          {hasRows ? <MissingWork workOrderId={workOrderId} /> : <AppText live>Fetching your work …</AppText>}
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
  if (!isLookedUp) return <AppText live>Looking it up …</AppText>;
  const missing = (
    <AppText live>
      This work order is not on this phone: it ended a while ago and there is no signal to look it up, or it is on a
      site that you do not see.
    </AppText>
  );
  return <RememberedJob workOrderId={workOrderId} otherwise={missing} />;
}

function LoadedSheet({ work, isWide }: { readonly work: WorkOrder; readonly isWide: boolean }): ReactElement {
  const palette = usePalette();
  const back = useBack('/shift');
  const isBroad = useIsBroad();
  const isWindowWide = useIsWindowWide();
  // With very large text the dock has room for its keys alone, and its line stands in the sheet.
  const isDockNarrow = useIsNarrow();
  const stops = useRows('stops', 'workOrder', work.id);
  const scroll = useSheetScroll(work.id, isBroad ? 'work' : 'prepare');
  const { goTo } = scroll;
  const quick = useQuickSheet(work, scroll.bringIntoSight, stops.length > 0);
  const toHazards = useCallback((): void => goTo('prepare'), [goTo]);
  const hazardsFirst = useHazardsFirst(work, toHazards);
  useCommand('open', scroll.focus);
  const isOurs = useIsOurs(work);
  useDroppedFiles(work.id, useMachineInSight(work), isWide && isOurs && isOpen(work.state));
  const dock = isOurs ? (
    <Dock
      work={work}
      open={quick.open}
      about={quick.about}
      onOpen={quick.onOpen}
      onHazards={hazardsFirst}
      isFolded={!isWide && scroll.isReading}
      onTouch={scroll.stopReading}
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
          <SheetDipstick work={work} current={scroll.current} onGoTo={goTo} />
          <SheetParts {...{ work, isWide, isBroad, isDockNarrow, isOurs, stops, scroll, quick, hazardsFirst }} />
          {isWide ? (
            <View style={[sheet.recordColumn, { borderColor: palette.line, backgroundColor: palette.card }]}>
              {dock}
              <ScrollView
                role="complementary"
                aria-label="Record"
                style={sheet.scroll}
                contentContainerStyle={sheet.recordContent}
              >
                <FollowingRecord work={work} />
              </ScrollView>
            </View>
          ) : null}
        </View>
        {isWide ? null : dock}
        <AlarmProposal work={work} />
        <CodeFault work={work} entryId={quick.coding} onClose={quick.stopCoding} />
      </View>
    </HazardsFirstOf.Provider>
  );
}

/** What a press changes of the job itself stands in its head and in Wrap up: the long rest follows a frame later. */
function useFollowing(work: WorkOrder): WorkOrder {
  const follower = useDeferredValue(work);
  return follower.id === work.id ? follower : work;
}

const FollowingRecord = ({ work }: { readonly work: WorkOrder }): ReactElement => (
  <RecordList work={useFollowing(work)} />
);

interface PartsProps {
  readonly work: WorkOrder;
  readonly isWide: boolean;
  readonly isBroad: boolean;
  readonly isDockNarrow: boolean;
  readonly isOurs: boolean;
  readonly stops: readonly Stop[];
  readonly scroll: SheetScroll;
  readonly quick: QuickSheet;
  readonly hazardsFirst: HazardsFirst;
}

/** Prepare, Work and Wrap up below one another; on a broad screen Prepare stands beside the others. */
function SheetParts(props: PartsProps): ReactElement {
  const { work, isWide, isBroad, isDockNarrow, isOurs, stops, scroll, quick, hazardsFirst } = props;
  const palette = usePalette();
  const landmark = useLandmark(work.title);
  const following = useFollowing(work);
  const { onOpen } = quick;
  const toParts = useCallback((): void => onOpen('part'), [onOpen]);
  const prepare = <PreparePart work={following} onPlaced={scroll.place.prepare} onParts={isOurs ? toParts : null} />;
  return (
    <>
      {isBroad ? (
        <ScrollView
          ref={scroll.beside}
          role="complementary"
          aria-label="Prepare"
          style={[sheet.scroll, sheet.beside, { borderColor: palette.line }]}
          contentContainerStyle={sheet.content}
        >
          {prepare}
        </ScrollView>
      ) : null}
      <ScrollView
        ref={scroll.scroller}
        {...landmark}
        style={sheet.scroll}
        contentContainerStyle={sheet.content}
        {...scroll.props}
        testID="sheet-scroll"
      >
        <View style={isWide && sheet.readable}>
          {isBroad ? null : (
            <>
              <SheetHead work={work} />
              {isDockNarrow && isOurs ? <DockLine work={work} onHazards={hazardsFirst} /> : null}
              {isDockNarrow ? <RaiseHere work={work} /> : null}
              {prepare}
            </>
          )}
          {stops.length === 0 ? (
            <WorkPart work={following} onPlaced={scroll.place.work} />
          ) : (
            <RoundPart work={following} stops={stops} onPlaced={scroll.place.work} />
          )}
          <WrapUpPart
            work={work}
            onPlaced={scroll.place.wrapUp}
            onCorrect={quick.mend}
            open={quick.open}
            onOpen={onOpen}
          />
          {isWide ? null : <RecordList work={following} />}
        </View>
      </ScrollView>
    </>
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
