import { useRouter } from 'expo-router';
import { useState, type ReactElement } from 'react';
import { SectionList, StyleSheet, View } from 'react-native';
import { formatQuantity, type PersonId } from '@oilcan/core/kernel';
import type { KitList, KitListPart, KitListTool } from '@oilcan/core/stores/kit-list';
import { peekRow, usePhone, useRow, useTable } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';

import { Choice, Choices } from '../../../ui/fields/choice';
import { Button, Press } from '../../../ui/press/press';
import { useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { binName } from '../../../words/amounts';
import { counted } from '../../../words/work-words';
import { TopBar } from '../../frame/page/top-bar';
import { ChooseJobsSheet } from './choose-jobs-sheet';
import { ShareSheet } from './share-sheet';
import { useJobsToChoose, useKitList } from './use-kit-list';
import { mdiAccountMultipleOutline, mdiCheckboxBlankOutline, mdiCheckboxMarked } from '@mdi/js';
import { Icon } from '../../../ui/theme/icon';
import { asList } from '../../../ui/layout/list';

const asRows = asList('Parts and tools');

/** What to take along for the chosen jobs: my own list, or one that a mate shares with me. */
export function KitListScreen(): ReactElement | null {
  const router = useRouter();
  const isWide = useIsWide();
  const me = usePhone((state) => state.person?.id);
  const lists = useTable('kitLists');
  const [wanted, setWanted] = useState<PersonId | null>(null);
  if (me === undefined) return null;
  const shared = lists.filter(({ id, sharedWith }) => id !== me && sharedWith.includes(me));
  const owner = shared.find(({ id }) => id === wanted)?.id ?? me;
  return (
    <View style={sheet.screen}>
      <TopBar title="Kit list" {...(isWide ? { isBeside: true } : { onBack: () => router.navigate('/shift') })} />
      {shared.length === 0 ? null : (
        <View style={sheet.whose}>
          <Choices label="Whose kit list">
            <Choice word="Mine" isChosen={owner === me} onPress={() => setWanted(me)} />
            {shared.map(({ id }) => (
              <Choice
                key={id}
                word={peekRow('people', id)?.name ?? id}
                isChosen={owner === id}
                onPress={() => setWanted(id)}
              />
            ))}
          </Choices>
        </View>
      )}
      <Lines key={owner} owner={owner} isMine={owner === me} />
    </View>
  );
}

type Line = { readonly part: KitListPart } | { readonly tool: KitListTool };

function Lines({ owner, isMine }: { readonly owner: PersonId; readonly isMine: boolean }): ReactElement {
  const { list, works, missing, parts, tools } = useKitList(owner);
  const { todays } = useJobsToChoose();
  const [asking, setAsking] = useState<'jobs' | 'share' | null>(null);
  const close = (): void => setAsking(null);
  const sections = sectionsOf(parts, tools);
  const short = parts.filter((line) => line.short > 0).length;
  const inBag = [...parts, ...tools].filter(({ key }) => list?.inBag[key] !== undefined).length;
  const headline =
    works.length === 0
      ? 'No jobs are chosen'
      : `${counted(parts.length, 'part', 'parts')} and ${counted(tools.length, 'tool', 'tools')} for ${counted(works.length, 'job', 'jobs')}`;
  const state =
    works.length === 0
      ? isMine
        ? 'Choose the jobs of your round, and everything they need is added up here.'
        : 'Your mate has chosen no jobs.'
      : `${short === 0 ? 'Nothing is short' : `${short} ${short === 1 ? 'is' : 'are'} short`}; ${inBag} of ${parts.length + tools.length} in the bag.`;
  const takeTodays = (): void => void performOrSay('kit-list.choose', { workOrderIds: [...todays] as never[] });
  return (
    <>
      <SectionList
        role="main"
        {...asRows}
        sections={sections}
        keyExtractor={(line) => ('part' in line ? line.part.key : line.tool.key)}
        stickySectionHeadersEnabled={false}
        ListHeaderComponent={
          <View style={sheet.head}>
            <AppText as="title" level={2}>
              {headline}
            </AppText>
            <AppText soft>{state}</AppText>
            {missing > 0 && works.length + missing > 0 ? (
              <AppText soft>{counted(missing, 'chosen job is', 'chosen jobs are')} done or not on this phone.</AppText>
            ) : null}
            {isMine ? (
              <View style={sheet.buttons}>
                {works.length === 0 && todays.size > 0 ? (
                  <Button
                    rank="primary"
                    word={`All of today’s, ${counted(todays.size, 'job', 'jobs')}`}
                    onPress={takeTodays}
                  />
                ) : null}
                <Button word="Choose jobs" onPress={() => setAsking('jobs')} />
                {works.length === 0 ? null : (
                  <Button word={shareWord(list)} icon={mdiAccountMultipleOutline} onPress={() => setAsking('share')} />
                )}
              </View>
            ) : null}
          </View>
        }
        renderSectionHeader={({ section }) => (
          <View style={sheet.section}>
            <AppText as="heading" level={3}>
              {section.title}
            </AppText>
          </View>
        )}
        renderItem={({ item }) =>
          'part' in item ? (
            <PartLine owner={owner} line={item.part} list={list} />
          ) : (
            <ToolLine owner={owner} line={item.tool} list={list} />
          )
        }
        contentContainerStyle={sheet.list}
      />
      {asking === 'jobs' ? <ChooseJobsSheet chosen={list?.workOrderIds ?? []} onClose={close} /> : null}
      {asking === 'share' ? <ShareSheet list={list} onClose={close} /> : null}
    </>
  );
}

const shareWord = (list: KitList | undefined): string =>
  list === undefined || list.sharedWith.length === 0 ? 'Share' : `Shared with ${list.sharedWith.length}`;

/** Short ones first, then store by store, then the tools. */
function sectionsOf(parts: readonly KitListPart[], tools: readonly KitListTool[]) {
  const sections: { title: string; data: Line[] }[] = [];
  for (const part of parts) {
    const title = part.short > 0 ? 'Short' : (peekRow('stores', part.storeId ?? '')?.name ?? 'From nowhere known');
    const last = sections.at(-1);
    if (last?.title === title) last.data.push({ part });
    else sections.push({ title, data: [{ part }] });
  }
  if (tools.length > 0) sections.push({ title: 'Tools', data: tools.map((tool) => ({ tool })) });
  return sections;
}

function binWords(binId: string): string {
  const bin = peekRow('bins', binId);
  if (bin === undefined) return binName(bin);
  return `${peekRow('stores', bin.storeId)?.name ?? ''}, ${binName(bin)}`;
}

const numbersOf = (ids: readonly string[]): string =>
  ids.map((id) => peekRow('workOrders', id)?.number ?? '').join(', ');

interface LineProps<Of> {
  readonly owner: PersonId;
  readonly line: Of;
  readonly list: KitList | undefined;
}

function PartLine({ owner, line, list }: LineProps<KitListPart>): ReactElement {
  const part = useRow('parts', line.partId);
  const unit = line.unit;
  const there =
    line.onHand === null
      ? 'planned in another unit than it is counted in'
      : `${formatQuantity(line.onHand)} ${unit} there`;
  const elsewhere = line.elsewhere
    .slice(0, 3)
    .map(({ binId, onHand }) => `${formatQuantity(onHand)} in ${binWords(binId)}`)
    .join('; ');
  const details = [
    `${binWords(line.binId)} · ${there} · ${numbersOf(line.workOrderIds)}`,
    ...(line.short > 0
      ? [
          `Short by ${formatQuantity(line.short)} ${unit}. ${elsewhere === '' ? 'None anywhere else.' : `Elsewhere: ${elsewhere}.`}`,
        ]
      : []),
  ];
  return (
    <TickLine
      owner={owner}
      lineKey={line.key}
      list={list}
      headline={`${formatQuantity(line.needed)} ${unit} ${part?.name ?? line.partId}`}
      details={details}
    />
  );
}

function ToolLine({ owner, line, list }: LineProps<KitListTool>): ReactElement {
  return (
    <TickLine
      owner={owner}
      lineKey={line.key}
      list={list}
      headline={line.count === 1 ? line.name : `${line.count} × ${line.name}`}
      details={[numbersOf(line.workOrderIds)]}
    />
  );
}

function TickLine({
  owner,
  lineKey,
  list,
  headline,
  details,
}: {
  readonly owner: PersonId;
  readonly lineKey: string;
  readonly list: KitList | undefined;
  readonly headline: string;
  readonly details: readonly string[];
}): ReactElement {
  const palette = usePalette();
  const me = usePhone((state) => state.person?.id);
  const put = list?.inBag[lineKey];
  const isIn = put !== undefined;
  const by = put === undefined || put.by === me ? '' : ` by ${peekRow('people', put.by)?.name ?? ''}`;
  return (
    <Press
      role="checkbox"
      checked={isIn}
      onPress={() => void performOrSay('kit-list.tick', { ownerId: owner, line: lineKey, isIn: !isIn })}
      style={[sheet.line, { borderColor: palette.line, backgroundColor: isIn ? palette.chosen : palette.card }]}
    >
      <Icon
        path={isIn ? mdiCheckboxMarked : mdiCheckboxBlankOutline}
        size={30}
        color={isIn ? palette.green : palette.edge}
      />
      <View style={sheet.words}>
        <AppText>{headline}</AppText>
        {details.map((detail) => (
          <AppText key={detail} as="small" soft>
            {detail}
          </AppText>
        ))}
        {isIn ? <AppText as="small">In the bag{by}</AppText> : null}
      </View>
    </Press>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  whose: { paddingHorizontal: 16, paddingTop: 12 },
  list: { paddingBottom: 24, width: '100%', maxWidth: 720 },
  head: { padding: 16, gap: 8 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  section: { paddingHorizontal: 16, paddingTop: 14, paddingBottom: 6 },
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: 16,
    paddingVertical: 10,
    borderBottomWidth: 1,
  },
  words: { flex: 1, minWidth: 0 },
});
