import { useRouter } from 'expo-router';
import { memo, useCallback, useDeferredValue, useEffect, useRef, useState, type ReactElement } from 'react';
import { SectionList, StyleSheet, View } from 'react-native';
import { formatDuration } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { counted, groupWords } from '../../../words/work-words';
import { markOnce } from '../../../data/browser/marks';
import { usePhone, useRow, useSettings } from '../../../data/store/store';
import { FindField } from '../../../ui/fields/find-field';
import { Button } from '../../../ui/press/press';
import { useIsWide } from '../../../ui/theme/theme';
import { asList } from '../../../ui/layout/list';
import { useIsSettled } from '../../../ui/state/use-is-settled';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { Digest } from '../../past/digest';
import { ForgottenClock } from '../../recording/forgotten-clock';
import { InstallOffer } from '../../frame/page/install';
import { useLandmark } from '../../frame/page/pane';
import { TopBar } from '../../frame/page/top-bar';
import { FoundList, turnToFinding } from '../../overview/find';
import { MyReports } from '../../raising/reports';
import { useNarrowedWork } from '../../frame/page/narrowed-work';
import { useKeptScroll } from '../../frame/page/use-kept-scroll';
import { useCommand } from '../../frame/keys/commands';
import { FilterLine } from './filter-line';
import { isNarrowed, isWithin, narrowedTo } from './narrowing';
import { orderWords } from './order-words';
import { countPutOff, firstReason, shiftHeadline, type ShiftSection, type Shown } from './shift-list';
import { forgetShiftChoice, showsAll, useFindText, useShiftChoice } from './use-narrowing';
import { useShift, type Shift } from './use-shift';
import { WorkRow } from './work-row';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { mdiQrcodeScan } from '@mdi/js';

/** Opened now and then, and not needed for the first screen. */
const NarrowSheet = lazyComponent(() => import('./narrow-sheet').then((module) => module.NarrowSheet));

const idOf = (work: WorkOrder): string => work.id;

const asJobs = asList('Jobs');

/** Counted when the list stands: nobody waits for it. */
const none: readonly never[] = [];

const FIND = 'Find anything';

const findField = (): HTMLInputElement | null =>
  document.querySelector<HTMLInputElement>(`input[aria-label="${FIND}"]`);

/** My work, what comes first first. `chosen` is the work order that is open beside it on a wide screen. */
export function ShiftScreen({ chosen }: { readonly chosen: string | undefined }): ReactElement {
  // What is typed shows at once, and what it finds follows.
  const find = useDeferredValue(useFindText(({ typed }) => typed));
  return <ShiftList chosen={chosen} find={find} />;
}

interface ShiftListProps {
  readonly chosen: string | undefined;
  readonly find: string;
}

const ShiftList = memo(function ShiftList({ chosen, find }: ShiftListProps): ReactElement | null {
  const palette = usePalette();
  const router = useRouter();
  const isWide = useIsWide();
  const scroller = useRef<SectionList<WorkOrder, ShiftSection>>(null);
  const kept = useKeptScroll('/shift', scroller);
  const landmark = useLandmark('Shift');
  const hasRows = usePhone((state) => state.hasRows);
  const me = usePhone((state) => state.person?.id);
  const hasClock = useRow('clocks', me) !== undefined;
  const zone = useSettings()?.zone ?? 'UTC';
  const { shown: choice, choose } = useShiftChoice(zone);
  const { narrowing, order } = choice;
  const isFinding = find.trim() !== '';
  const [isNarrowing, setIsNarrowing] = useState(false);
  const isSettled = useIsSettled();
  const shift = useShift(choice);
  const present = shift?.present;
  const open = useCallback((id: string) => router.navigate(`/shift/${id}`), [router]);
  const renderItem = useCallback(
    ({ item }: { readonly item: WorkOrder }) =>
      present === undefined ? null : (
        <WorkRow work={item} present={present} isChosen={item.id === chosen} onOpen={open} />
      ),
    [present, chosen, open],
  );

  useShiftKeys(shift?.sections, chosen, open);
  const isEntered = useFindText(({ entered }) => entered !== null && entered === find);

  const hasList = shift !== null && shift.sections.length > 0;
  useEffect(() => {
    if (hasList) markOnce('oilcan:first-row');
  }, [hasList]);

  // What takes the list along, as the kit list does, takes it as it is narrowed.
  const shown = shift?.sections;
  const isAll = showsAll(choice);
  useEffect(() => {
    const ids = isAll ? null : (shown?.flatMap(({ data }) => data.map(({ id }) => id)) ?? null);
    useNarrowedWork.setState({ ids });
  }, [isAll, shown]);

  if (me === undefined) return null;
  if (shift === null) return <Opening hasRows={hasRows} />;
  const { person, settings, sections, among, listed } = shift;
  const isWhole = isAll;
  const isHidden = (work: WorkOrder): boolean =>
    !isWithin(work, narrowing, { now: shift.present, zone: settings.zone });
  const putOff = isWhole ? countPutOff(listed) : 0;
  const left = sections.reduce((sum, { data }) => sum + data.length, 0);
  return (
    <View style={[sheet.screen, isWide && { borderColor: palette.line, borderRightWidth: 2 }]}>
      <TopBar title="Shift" {...(person.siteIds.length > 1 ? {} : { aside: person.name })} />
      <SectionList
        ref={scroller}
        {...kept}
        {...landmark}
        {...asJobs}
        sections={isFinding ? none : sections}
        keyExtractor={idOf}
        renderItem={renderItem}
        stickySectionHeadersEnabled={false}
        initialNumToRender={6}
        maxToRenderPerBatch={6}
        windowSize={7}
        extraData={present}
        ListHeaderComponent={
          <ShiftHead
            {...{ shift, choice, choose, left }}
            asksSettled={isSettled || !isWhole}
            hasClock={hasClock}
            onMore={() => setIsNarrowing(true)}
          />
        }
        renderSectionHeader={({ section }) => (
          <View style={sheet.group}>
            <AppText as="label" level={3} style={sheet.load}>
              {section.group === null ? orderWords[order] : groupWords[section.group]}
            </AppText>
            <AppText as="mark" soft>
              {counted(section.data.length, 'job', 'jobs')}, {formatDuration(section.estimateMinutes)}
            </AppText>
          </View>
        )}
        ListFooterComponent={
          isFinding ? (
            <FoundList typed={find} isHidden={isHidden} onOpensFirst={isEntered ? leaveFind : undefined} />
          ) : (
            <>
              {putOff === 0 ? null : (
                <View style={sheet.head}>
                  <Button
                    word={`${counted(putOff, 'job is', 'jobs are')} put off: show`}
                    onPress={() => choose({ ...choice, narrowing: { ...narrowing, time: ['putOff'] } })}
                  />
                </View>
              )}
              {isWhole && isSettled ? <MyReports /> : null}
            </>
          )
        }
        ListEmptyComponent={
          isFinding ? null : (
            <View style={sheet.head}>
              <AppText>
                {isWhole ? 'No work is assigned to you or your crew right now.' : 'No work of yours is all of this.'}
              </AppText>
              {isWhole ? null : <Button word="Show all again" onPress={forgetShiftChoice} />}
            </View>
          )
        }
      />
      {isNarrowing ? (
        <NarrowSheet
          among={among()}
          shown={choice}
          left={left}
          onChange={choose}
          onClose={() => setIsNarrowing(false)}
        />
      ) : null}
    </View>
  );
});

interface HeadProps {
  readonly shift: Shift;
  readonly choice: Shown;
  readonly choose: (shown: Shown) => void;
  /** How many jobs are listed. */
  readonly left: number;
  /** Whether what could be narrowed to is counted now: nobody waits for it before the list is there. */
  readonly asksSettled: boolean;
  readonly hasClock: boolean;
  readonly onMore: () => void;
}

/** Above the list: what it holds in a line, where else one can go, finding, and by what it is narrowed. */
function ShiftHead({ shift, choice, choose, left, asksSettled, hasClock, onMore }: HeadProps): ReactElement {
  const router = useRouter();
  const isWide = useIsWide();
  const { person, settings, sections, assets, among, listed } = shift;
  const { narrowing, order } = choice;
  const isWhole = showsAll(choice);
  const isFirstFirst = isWhole && order === 'first';
  const reason = isFirstFirst && !hasClock ? firstReason(sections, assets, shift.present, settings) : null;
  return (
    <View style={sheet.head}>
      <View style={sheet.headline}>
        <AppText as="heading" level={2} style={sheet.headlineWords}>
          {isFirstFirst
            ? shiftHeadline(sections, person, settings)
            : isWhole
              ? counted(left, 'job', 'jobs')
              : `${left} of ${counted(listed.length, 'job', 'jobs')}`}
        </AppText>
        <Button rank="quiet" word="My day" onPress={() => router.navigate('/shift/day')} />
        <Button rank="quiet" word="Kit list" onPress={() => router.navigate('/shift/kit')} />
        {isWide ? (
          <Button rank="quiet" word="Table" label="Work as a table" onPress={() => router.navigate('/shift/table')} />
        ) : null}
      </View>
      {reason === null ? null : (
        <AppText as="small" soft>
          {reason}
        </AppText>
      )}
      <Digest />
      <View style={sheet.find}>
        <View style={sheet.field}>
          <ShiftFind />
        </View>
        <Button word="Scan" icon={mdiQrcodeScan} style={sheet.scan} onPress={() => router.navigate('/scan')} />
      </View>
      <FilterLine
        listed={listed}
        among={asksSettled ? among() : none}
        shown={choice}
        present={{ now: shift.present, zone: settings.zone }}
        onChange={choose}
        onMore={onMore}
      />
      <ForgottenClock />
      <InstallOffer />
      {isNarrowed(narrowing) ? (
        <View style={sheet.headline}>
          <AppText live style={sheet.load}>
            Only {narrowedTo(narrowing, among())}.
          </AppText>
          <Button rank="quiet" word="Show all" onPress={forgetShiftChoice} />
        </View>
      ) : null}
    </View>
  );
}

/** The keys of the list: on and back, and to the field that finds. */
function useShiftKeys(
  sections: readonly ShiftSection[] | undefined,
  chosen: string | undefined,
  open: (id: string) => void,
): void {
  const go = (to: (at: number) => number): void => {
    const ids = sections?.flatMap(({ data }) => data.map(({ id }) => id)) ?? [];
    const next = to(ids.findIndex((id) => id === chosen));
    const id = ids[Math.min(ids.length - 1, Math.max(0, next))];
    if (id !== undefined) open(id);
  };
  useCommand('next', () => go((at) => at + 1));
  useCommand('previous', () => go((at) => at - 1));
  useCommand('find', () => {
    const field = findField();
    field?.focus();
    field?.select();
  });
}

/** What was looked for is opened: the keys are the list's again. */
function leaveFind(): void {
  useFindText.getState().forgetEntered();
  findField()?.blur();
}

function ShiftFind(): ReactElement {
  const { typed, type, enter } = useFindText();
  return (
    <FindField
      label={FIND}
      value={typed}
      onChange={type}
      onFocus={() => void turnToFinding()}
      {...(useIsWide() ? { onEnter: enter } : {})}
    />
  );
}

function Opening({ hasRows }: { readonly hasRows: boolean }): ReactElement {
  const contact = usePhone((state) => state.contact);
  return (
    <View style={sheet.head} role="main">
      <AppText as="title" level={1}>
        Shift
      </AppText>
      <AppText live>
        {contact === 'no-signal' && !hasRows
          ? 'Your work has not been fetched yet and the server cannot be reached. It comes as soon as there is signal.'
          : 'Fetching your work …'}
      </AppText>
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  head: { paddingHorizontal: 16, paddingBottom: 2, gap: 2 },
  headline: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 8 },
  // Beside its keys it takes a second line rather than pushing them onto one of their own.
  headlineWords: { flexGrow: 1, flexShrink: 1, flexBasis: 130, minWidth: 0 },
  load: { flexGrow: 1, flexShrink: 1, minWidth: 0 },
  find: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 200, minWidth: 0 },
  scan: { marginTop: 6, minHeight: 50 },
  group: {
    flexDirection: 'row',
    alignItems: 'baseline',
    gap: 10,
    paddingHorizontal: 16,
    paddingTop: 4,
    paddingBottom: 2,
  },
});
