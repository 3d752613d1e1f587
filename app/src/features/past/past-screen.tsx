import { useRouter } from 'expo-router';
import { lazy, useCallback, useMemo, useState, type ReactElement } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import {
  addMinutes,
  countEvents,
  pastEventKinds,
  pastScopes,
  wantedEvents,
  type Asset,
  type Instant,
  type PastEvent,
  type PastFilter,
  type PastJob,
  type PastScope,
} from '@oilcan/core';
import type { ReadPast } from '../../data/past/read-past';
import { usePast } from '../../data/past/use-past';
import { now, peekRow, useRow, useSettings } from '../../data/store';
import { Field } from '../../ui/field';
import { Button, Choice, Choices } from '../../ui/press';
import { useIsWide } from '../../ui/theme';
import { Words } from '../../ui/words';
import { sayMoment } from '../../words/dates';
import { counted } from '../../words/work-words';
import { TopBar } from '../frame/top-bar';
import { eventWords, periodWords, periods, scopeWords, stateFilterWords, type Period } from './event-words';
import { EventCard } from './event-card';
import { PastStanding } from './past-standing';
import { SaidList } from './said-list';
import { sentencesOf } from './said';
import { Piece } from '../../ui/piece';

const PastPictures = lazy(() => import('./past-pictures').then((module) => ({ default: module.PastPictures })));
const PastTable = lazy(() => import('./past-table').then((module) => ({ default: module.PastTable })));

interface Props {
  readonly assetId: string;
  readonly scope: PastScope;
  /** Key of the sentence whose rows are opened. */
  readonly said: string | undefined;
}

/** What happened before: the answer, the pictures, then the rows. */
export function PastScreen({ assetId, scope, said }: Props): ReactElement {
  const router = useRouter();
  const asset = useRow('assets', assetId);
  const back = (): void => router.navigate(`/plant/${assetId}`);
  return (
    <View style={sheet.screen}>
      <TopBar title="What happened before" onBack={back} backTo="the machine" />
      {asset === undefined ? (
        <View role="main" style={sheet.head}>
          <Words>This machine is not on this phone: it is on a site that you do not see, or does not exist.</Words>
        </View>
      ) : (
        <AssetPast asset={asset} scope={scope} said={said} />
      )}
    </View>
  );
}

function AssetPast({ asset, scope, said }: Omit<Props, 'assetId'> & { readonly asset: Asset }): ReactElement {
  const router = useRouter();
  const past = usePast(asset, scope);
  const place = useRow('places', asset.placeId);
  const go = (to: PastScope): void => router.setParams({ with: to, said: undefined });
  const head = (
    <>
      <Words as="title" level={2}>
        {scope === 'place' ? (place?.name ?? 'Its place') : asset.name}
      </Words>
      <Choices label="Whose past">
        {pastScopes.map((each) => (
          <Choice key={each} word={scopeWords[each]} isChosen={each === scope} onPress={() => go(each)} />
        ))}
      </Choices>
    </>
  );
  if (past.is !== 'here') {
    return (
      <View role="main" style={sheet.head}>
        {head}
        <PastStanding past={past} />
      </View>
    );
  }
  return <Rows key={scope} asset={asset} scope={scope} said={said} past={past.past} isOld={past.isOld} head={head} />;
}

interface RowsProps {
  readonly asset: Asset;
  readonly scope: PastScope;
  readonly said: string | undefined;
  readonly past: ReadPast;
  readonly isOld: boolean;
  readonly head: ReactElement;
}

function Rows({ asset, scope, said, past, isOld, head }: RowsProps): ReactElement {
  const router = useRouter();
  const isWide = useIsWide();
  const settings = useSettings();
  const [chosen, setChosen] = useState<Omit<PastFilter, 'jobs' | 'since'>>({ kind: 'work', state: 'all', words: '' });
  const [period, setPeriod] = useState<Period>('all');
  const sentences = useMemo(() => sentencesOf(past.findings, (id) => peekRow('parts', id)), [past.findings]);
  const opened = sentences.find(({ key }) => key === said);
  const filter: PastFilter = useMemo(
    () => ({
      ...chosen,
      since: sinceOf(period, now()),
      jobs: opened === undefined ? null : new Set(opened.jobs.map(({ id }) => id)),
    }),
    [chosen, period, opened],
  );
  const events = useMemo(() => wantedEvents(past.jobs, filter, namesOf), [past.jobs, filter]);
  const counts = useMemo(() => countEvents(past.jobs), [past.jobs]);
  const isNamed = scope !== 'asset';
  const renderItem = useCallback(
    ({ item }: { readonly item: PastEvent }) => <EventCard event={item} isAssetNamed={isNamed} />,
    [isNamed],
  );
  const isNarrowed = opened !== undefined || period !== 'all' || chosen.state !== 'all' || chosen.words !== '';
  const showAll = (): void => {
    setPeriod('all');
    setChosen((before) => ({ ...before, state: 'all', words: '' }));
    router.setParams({ said: undefined });
  };
  const top = (
    <View style={sheet.head}>
      {head}
      {isOld && settings !== undefined ? (
        <Words soft>
          No signal: as this phone had it {sayMoment(past.asOf, now(), settings.zone, settings.language)}.
        </Words>
      ) : null}
      <SaidList said={sentences} assetId={asset.id} scope={scope} />
      <Piece>
        <PastPictures past={past} scope={scope} asset={asset} />
      </Piece>
      <Words as="heading" level={3}>
        {opened === undefined ? 'The rows' : `The rows: ${opened.brief}`}
      </Words>
      <Field
        label="Find in this past"
        value={chosen.words}
        onChange={(words) => setChosen((before) => ({ ...before, words }))}
      />
      <Choices label="Kind of event">
        {pastEventKinds.map((kind) => (
          <Choice
            key={kind}
            word={`${eventWords[kind]} ${counts[kind]}`}
            isChosen={chosen.kind === kind}
            onPress={() => setChosen((before) => ({ ...before, kind }))}
          />
        ))}
      </Choices>
      <Choices label="Period">
        {periods.map((each) => (
          <Choice key={each} word={periodWords[each]} isChosen={period === each} onPress={() => setPeriod(each)} />
        ))}
      </Choices>
      <Choices label="Open or ended">
        {(['all', 'open', 'ended'] as const).map((state) => (
          <Choice
            key={state}
            word={stateFilterWords[state]}
            isChosen={chosen.state === state}
            onPress={() => setChosen((before) => ({ ...before, state }))}
          />
        ))}
      </Choices>
      <View style={sheet.count}>
        <Words as="label" live>
          {counted(events.length, 'row', 'rows')}
        </Words>
        {isNarrowed ? <Button word="Show all rows" onPress={showAll} /> : null}
      </View>
    </View>
  );
  const empty = (
    <Words style={sheet.empty}>
      {past.jobs.length === 0 ? 'Nothing was ever recorded here.' : 'No row is all of this.'}
    </Words>
  );
  const foot =
    past.cutAt === null || settings === undefined ? null : (
      <Words soft style={sheet.empty}>
        There is more before {sayMoment(past.cutAt, now(), settings.zone, settings.language)}; only the newest{' '}
        {past.jobs.length.toLocaleString(settings.language)} jobs are shown and counted.
      </Words>
    );
  if (isWide) {
    return (
      <Piece>
        <PastTable events={events} kind={chosen.kind} top={top} empty={empty} foot={foot} name={asset.tag} />
      </Piece>
    );
  }
  return (
    <FlatList
      role="main"
      data={events}
      keyExtractor={({ id }) => id}
      renderItem={renderItem}
      initialNumToRender={8}
      maxToRenderPerBatch={10}
      windowSize={7}
      ListHeaderComponent={top}
      ListEmptyComponent={empty}
      ListFooterComponent={foot}
      contentContainerStyle={sheet.list}
    />
  );
}

function sinceOf(period: Period, present: Instant): Instant | null {
  return period === 'all' ? null : addMinutes(present, -period * 24 * 60);
}

/** Words by which a job is found beside its own: its machine and its parts. */
function namesOf(job: PastJob): string {
  const asset = peekRow('assets', job.assetId);
  const parts = job.parts.map(({ partId }) => peekRow('parts', partId)).map((part) => `${part?.number} ${part?.name}`);
  return [asset?.name, asset?.tag, ...parts].join(' ');
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  list: { paddingBottom: 24 },
  head: { padding: 16, gap: 12 },
  count: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', justifyContent: 'space-between', gap: 8 },
  empty: { padding: 16 },
});
