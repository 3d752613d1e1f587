import { useRouter } from 'expo-router';
import { useCallback, useMemo, useRef, useState, type ReactElement } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { addMinutes, type Instant } from '@oilcan/core/kernel';
import type { PastEvent, PastFilter, PastJob, PastOf, PastScope } from '@oilcan/core/past/past';
import { countEvents, wantedEvents } from '@oilcan/core/registry';
import type { ReadPast } from '../../../data/past/read-past';
import { now, peekRow, useRow, useSettings } from '../../../data/store/store';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Button } from '../../../ui/press/press';
import { useIsWide } from '../../../ui/theme/theme';
import { More } from '../../../ui/press/more';
import { Segments } from '../../../ui/fields/segments';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { counted } from '../../../words/work-words';
import { useKeptScroll } from '../../frame/page/use-kept-scroll';
import { EventCard } from './event-card';
import type { Period } from './event-words';
import { EventKinds, PastFilters, wholePast, type PastChoice } from './past-filters';
import { OpenedSaid } from './opened-said';
import { figuresOf, lastFixSaid, sentencesOf, type NamesInPast } from './said';
import { PastTable } from './past-table';
import { FigureList, SaidList } from './said-list';
import { asList } from '../../../ui/layout/list';

const asRows = asList('The past');

const PastPictures = lazyComponent(() => import('./past-pictures').then((module) => module.PastPictures));

interface Props {
  readonly of: PastOf;
  /** Of the machine or the place. */
  readonly name: string;
  /** Of the file that the rows are saved to. */
  readonly fileName: string;
  /** Where all of this past is looked at. */
  readonly address: `/plant/past/${string}`;
  readonly said?: string | undefined;
  readonly pointId?: string | undefined;
  readonly past: ReadPast;
  readonly isOld: boolean;
  /** Above everything, while nothing is opened. */
  readonly head: ReactElement;
}

/** So many sentences stand above the rows of a phone. */
const FIRST_SAID = 1;

/** What a past says, its pictures and its rows; or the rows of the one sentence or measuring point that was opened. */
export function PastRows({ of, name, fileName, address, said, pointId, past, isOld, head }: Props): ReactElement {
  const router = useRouter();
  const isWide = useIsWide();
  const settings = useSettings();
  const { scope } = of;
  const scroller = useRef<FlatList<PastEvent>>(null);
  const kept = useKeptScroll(address, scroller);
  const [chosen, setChosen] = useState(wholePast);
  const sentences = useMemo(() => {
    const fix = scope === 'asset' ? lastFixSaid(past.fixes, past.findings.window.to, namesIn(scope)) : null;
    return [...(fix === null ? [] : [fix]), ...sentencesOf(past.findings, namesIn(scope))];
  }, [past, scope]);
  const figures = useMemo(() => figuresOf(past.findings, sentences), [past.findings, sentences]);
  const [side, setSide] = useState<'rows' | 'pictures'>('rows');
  const named = useRow('points', pointId);
  // One of another machine is not of this past.
  const point = named?.assetId === of.id ? named : undefined;
  const opened = [...sentences, ...figures].find(({ key }) => key === said);
  const isOpened = point !== undefined || opened !== undefined;
  // Of what was opened all rows are shown, whatever was looked for before.
  const choice = isOpened ? { ...wholePast, kind: point === undefined ? chosen.kind : ('reading' as const) } : chosen;
  const { kind, state, words, period } = choice;
  const filter: PastFilter = useMemo(() => {
    const jobs = opened === undefined ? null : new Set(opened.jobs.map(({ id }) => id));
    return { kind, state, words, since: sinceOf(period, now()), jobs, pointId: point?.id ?? null };
  }, [kind, state, words, period, opened, point]);
  const events = useMemo(() => wantedEvents(past.jobs, filter, namesOf), [past.jobs, filter]);
  const counts = useMemo(() => countEvents(opened?.jobs ?? past.jobs), [past.jobs, opened]);
  const isNamed = scope !== 'asset';
  const renderItem = useCallback(
    ({ item }: { readonly item: PastEvent }) => <EventCard event={item} isAssetNamed={isNamed} />,
    [isNamed],
  );
  const choose = (given: Partial<PastChoice>): void => setChosen({ ...choice, ...given });
  const showAll = (): void => {
    choose({ ...wholePast, kind });
    router.setParams({ said: undefined, point: undefined });
  };

  // On a phone the rows begin within the first screen.
  const [first, rest] = isWide ? [sentences, []] : [sentences.slice(0, FIRST_SAID), sentences.slice(FIRST_SAID)];
  const more = (
    <View>
      {rest.length === 0 ? null : <SaidList said={rest} address={address} />}
      <FigureList figures={figures} address={address} />
    </View>
  );
  const hasPictures = past.jobs.length > 0;
  const whole = (
    <>
      {head}
      {isOld && settings !== undefined ? (
        <AppText soft>
          No signal: as this phone had it {sayMoment(past.asOf, now(), settings.zone, settings.language)}.
        </AppText>
      ) : null}
      <SaidList said={first} address={address} />
      {rest.length + figures.length === 0 ? null : isWide ? (
        more
      ) : (
        <More word="What else it says" label="what the past says">
          {more}
        </More>
      )}
      {hasPictures ? (
        <Segments
          label="Rows or pictures"
          value={side}
          choices={[
            ['rows', 'The rows'],
            ['pictures', 'Pictures'],
          ]}
          onChoose={setSide}
        />
      ) : null}
      {side === 'pictures' ? <PastPictures past={past} of={of} /> : null}
      <PastFilters choice={choice} onChange={choose} counts={counts} />
    </>
  );
  const top = (save: ReactElement | null): ReactElement => (
    <View style={sheet.head}>
      {isOpened ? (
        <AppText as="title" level={2}>
          {name}
        </AppText>
      ) : null}
      {point !== undefined ? (
        <PastPictures past={past} of={of} only={point} />
      ) : opened !== undefined ? (
        <>
          <OpenedSaid said={opened} />
          <EventKinds chosen={kind} onChange={(next) => choose({ kind: next })} counts={counts} />
        </>
      ) : (
        whole
      )}
      <View style={sheet.count}>
        <AppText as="label" live>
          {counted(events.length, 'row', 'rows')}
        </AppText>
        <View style={sheet.tools}>
          {isOpened || period !== 'all' || state !== 'all' || words !== '' ? (
            <Button word="Show all rows" onPress={showAll} />
          ) : null}
          {save}
        </View>
      </View>
    </View>
  );
  const empty = (
    <AppText style={sheet.empty}>
      {past.jobs.length === 0 ? 'Nothing was ever recorded here.' : 'No row is all of this.'}
    </AppText>
  );
  const foot =
    past.cutAt === null || settings === undefined ? null : (
      <AppText soft style={sheet.empty}>
        There is more before {sayMoment(past.cutAt, now(), settings.zone, settings.language)}; only the newest{' '}
        {past.jobs.length.toLocaleString(settings.language)} jobs are shown and counted.
      </AppText>
    );
  // Whoever opens something begins at its head, and so does whoever goes back to everything.
  const inSight = point?.id ?? opened?.key ?? 'all';
  if (isWide) {
    const rows = { events, kind, top, empty, foot };
    return <PastTable key={inSight} {...rows} name={fileName} address={address} />;
  }
  return (
    <FlatList
      ref={scroller}
      {...kept}
      role="main"
      {...asRows}
      key={inSight}
      data={events}
      keyExtractor={({ id }) => id}
      renderItem={renderItem}
      initialNumToRender={8}
      maxToRenderPerBatch={10}
      windowSize={7}
      ListHeaderComponent={top(null)}
      ListEmptyComponent={empty}
      ListFooterComponent={foot}
      contentContainerStyle={sheet.list}
    />
  );
}

function sinceOf(period: Period, present: Instant): Instant | null {
  return period === 'all' ? null : addMinutes(present, -period * 24 * 60);
}

/** What rows are called; machines only where there are several. */
function namesIn(scope: PastScope): NamesInPast {
  const asset = (id: string) => peekRow('assets', id);
  return { part: (id) => peekRow('parts', id), asset: scope === 'asset' ? null : asset };
}

/** Words by which a job is found beside its own: its machine and its parts. */
function namesOf(job: PastJob): string {
  const asset = peekRow('assets', job.assetId);
  const parts = job.parts.map(({ partId }) => peekRow('parts', partId)).map((part) => `${part?.number} ${part?.name}`);
  return [asset?.name, asset?.tag, ...parts].join(' ');
}

const sheet = StyleSheet.create({
  list: { paddingBottom: 24 },
  head: { padding: 16, gap: 12 },
  count: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', justifyContent: 'space-between', gap: 8 },
  tools: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  empty: { padding: 16 },
});
