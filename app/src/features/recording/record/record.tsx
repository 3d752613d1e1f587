import { memo, useDeferredValue, useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AssetId, PersonId } from '@oilcan/core/kernel';
import { costOf } from '@oilcan/core/registry';
import { toldOnce } from '@oilcan/core/steps/steps';
import { inTimeOrder, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { now, useRow, useRows, useSettings } from '../../../data/store/store';
import { FilterChip, FilterChips } from '../../../ui/fields/filter-chips';
import { Button, Press } from '../../../ui/press/press';
import { Section } from '../../../ui/layout/section';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { counted } from '../../../words/work-words';
import { costWords } from '../costs';
import { EntrySheet } from './entry-sheet';
import { viewOf } from '../../frame/registry/view-of';
import { phoneNames } from '../../frame/views/names';
import { recordGroups, recordGroupWords, type RecordGroup } from '../../frame/views/record-group';
import { arrivalWords, entryWords } from './entry-words';
import { groupRecord } from './record-groups';
import { useWhere } from './use-where';
import { Item } from '../../../ui/layout/list';

/** A shorter record is seen at a glance. */
const FEWEST_TO_NARROW = 9;
/** Of a longer one the newest are drawn, the others when they are asked for. */
const FIRST_SHOWN = 40;

/** Everything recorded on the job, newest first; a long record can be narrowed. */
export const RecordList = memo(function RecordList({ work }: { readonly work: WorkOrder }): ReactElement {
  return <Entries work={work} entries={useRows('entries', 'workOrder', work.id)} />;
});

interface EntriesProps {
  readonly work: WorkOrder;
  readonly entries: readonly Entry[];
}

const Entries = memo(function Entries({ work, entries }: EntriesProps): ReactElement | null {
  const settings = useSettings(work.siteId);
  const [open, setOpen] = useState<Entry | null>(null);
  const [isWhole, setIsWhole] = useState(false);
  const [wanted, setWanted] = useState<RecordGroup | null>(null);
  const [by, setBy] = useState<PersonId | null>(null);
  const ordered = useMemo(() => inTimeOrder(entries), [entries]);
  const groups = useMemo(() => groupRecord(ordered), [ordered]);
  // What narrows the record may follow a moment after the new row.
  const settledGroups = useDeferredValue(groups);
  const all = useMemo(() => toldOnce(ordered), [ordered]);
  const ofGroup = (wanted === null ? undefined : groups.get(wanted)) ?? all;
  const shown = by === null ? ofGroup : ofGroup.filter((entry) => whoseOf(entry).includes(by));
  // Hundreds of rows would make every tick wait for them.
  const newest = isWhole ? shown : shown.slice(0, FIRST_SHOWN);
  const amended = useMemo(() => new Set(entries.map((entry) => entry.amends)), [entries]);
  if (settings === undefined) return null;
  const cost = costOf(entries);
  return (
    <Section title="Record" aside={`${counted(all.length, 'entry', 'entries')} · ${costWords(cost, settings)}`}>
      {all.length < FEWEST_TO_NARROW ? null : (
        <Narrowing
          groups={settledGroups}
          wanted={ofGroup === all ? null : wanted}
          by={by}
          onGroup={setWanted}
          onPerson={setBy}
        />
      )}
      {ordered.length === 0 ? (
        <AppText soft style={sheet.empty}>
          Nothing is recorded yet. What you do here appears in this list as you do it.
        </AppText>
      ) : (
        <View role="list" aria-label="Record">
          {newest.map((entry) => (
            <EntryRow
              key={entry.id}
              entry={entry}
              ofMachine={work.assetId}
              isAmended={amended.has(entry.id)}
              onOpen={setOpen}
            />
          ))}
        </View>
      )}
      {newest.length === shown.length ? null : (
        <Button word={`Show all ${shown.length}`} onPress={() => setIsWhole(true)} style={sheet.whole} />
      )}
      {open === null ? null : (
        <EntrySheet
          key={open.id}
          entry={open}
          work={work}
          isAmended={amended.has(open.id)}
          beside={open.content.kind === 'photo' ? ordered.filter(({ content }) => content.kind === 'photo') : []}
          onOpen={setOpen}
          onClose={() => setOpen(null)}
        />
      )}
    </Section>
  );
});

interface NarrowingProps {
  readonly groups: ReadonlyMap<RecordGroup, readonly Entry[]>;
  readonly wanted: RecordGroup | null;
  readonly by: PersonId | null;
  readonly onGroup: (group: RecordGroup | null) => void;
  readonly onPerson: (by: PersonId | null) => void;
}

/** What a long record can be narrowed to: a group of its entries, and one person's. */
const Narrowing = memo(function Narrowing({
  groups,
  wanted,
  by,
  onGroup,
  onPerson,
}: NarrowingProps): ReactElement | null {
  const people = useMemo(() => peopleOf([...groups.values()].flat()), [groups]);
  if (groups.size < 2) return null;
  return (
    <View style={sheet.narrow}>
      <FilterChips isOneOf label="Show of the record">
        <FilterChip
          word="All"
          isOn={wanted === null && by === null}
          onPress={() => {
            onGroup(null);
            onPerson(null);
          }}
        />
        {recordGroups.map((group) => {
          const count = groups.get(group)?.length ?? 0;
          return count === 0 ? null : (
            <FilterChip
              key={group}
              word={recordGroupWords[group]}
              count={count}
              isOn={wanted === group}
              onPress={() => onGroup(group)}
            />
          );
        })}
        {people.length < 2
          ? null
          : people.map((id) => (
              <PersonChoice key={id} id={id} isChosen={by === id} onPress={() => onPerson(by === id ? null : id)} />
            ))}
      </FilterChips>
    </View>
  );
});

/** Who recorded an entry, and of time whose it is. */
function whoseOf({ by, content }: Entry): readonly PersonId[] {
  return content.kind === 'labor' && content.personId !== by ? [by, content.personId] : [by];
}

function peopleOf(entries: readonly Entry[]): PersonId[] {
  return [...new Set(entries.flatMap(whoseOf))];
}

interface PersonChoiceProps {
  readonly id: PersonId;
  readonly isChosen: boolean;
  readonly onPress: () => void;
}

function PersonChoice({ id, isChosen, onPress }: PersonChoiceProps): ReactElement {
  const person = useRow('people', id);
  return <FilterChip word={person?.name ?? 'Somebody'} isOn={isChosen} onPress={onPress} />;
}

interface EntryRowProps {
  readonly entry: Entry;
  /** The machine of the job: what is of another one says so. */
  readonly ofMachine: AssetId;
  readonly isAmended: boolean;
  readonly onOpen: (entry: Entry) => void;
}

const EntryRow = memo(function EntryRow({ entry, ofMachine, isAmended, onOpen }: EntryRowProps): ReactElement | null {
  const palette = usePalette();
  const settings = useSettings(entry.siteId);
  const person = useRow('people', entry.by);
  const where = useWhere(entry);
  const machine = useRow('assets', entry.assetId === ofMachine ? null : entry.assetId)?.name;
  if (settings === undefined) return null;
  const { headline, detail } = entryWords(entry, phoneNames, settings.language);
  const { Picture } = viewOf(entry.content.kind);
  return (
    <Item>
      <Press onPress={() => onOpen(entry)} style={[sheet.row, { borderColor: palette.line }]}>
        <AppText as="mark" soft style={sheet.time}>
          {sayMoment(entry.at, now(), settings.zone, settings.language)}
        </AppText>
        <View style={sheet.words}>
          <AppText lines={4} style={isAmended && sheet.struck}>
            {headline}
          </AppText>
          <AppText as="small" soft>
            {[
              isAmended ? 'Amended' : entry.amends === null ? null : 'Amendment',
              detail,
              // A headline may have said it already.
              machine === undefined || headline.includes(machine) ? null : machine,
              person?.name,
              arrivalWords(entry),
            ]
              .filter((each) => each !== null && each !== '')
              .join(' · ')}
          </AppText>
        </View>
        {Picture === null ? null : <Picture content={entry.content} isSmall />}
        {where === null ? null : <AppText as="mark">{where}</AppText>}
      </Press>
    </Item>
  );
});

const sheet = StyleSheet.create({
  whole: { marginTop: 10, alignSelf: 'flex-start' },
  empty: { paddingVertical: 14 },
  narrow: { paddingVertical: 10 },
  row: { flexDirection: 'row', alignItems: 'flex-start', gap: 10, paddingVertical: 10, borderBottomWidth: 1 },
  time: { width: 76, flexShrink: 0 },
  words: { flex: 1, minWidth: 0 },
  struck: { textDecorationLine: 'line-through' },
});
