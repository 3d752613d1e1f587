import { useMemo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { addDays, localDate, type CrewId, type LocalDay, type PersonId } from '@oilcan/core/kernel';
import type { Settings } from '@oilcan/core/settings';
import type { Asset } from '@oilcan/core/plant';
import { byLikeness, type Procedure } from '@oilcan/core/procedures';
import type { KitPart } from '@oilcan/core/work';
import { now, peekRow, useRows, useTable } from '../../data/store';
import { Choice, Choices } from '../../ui/choice';
import { toggled } from '../../ui/toggled';
import { Words } from '../../ui/words';
import { sayLocalDay } from '../../words/dates';
import { amountOf } from '../../words/amounts';
import { counted } from '../../words/work-words';

const PROCEDURES_OFFERED = 3;

/** One of several, with what is asked above them. */
export function OneOf<T extends string>({
  label,
  of,
  words,
  chosen,
  onChoose,
}: {
  readonly label: string;
  readonly of: readonly T[];
  readonly words: Readonly<Record<T, string>>;
  readonly chosen: T;
  readonly onChoose: (value: T) => void;
}): ReactElement {
  return (
    <View style={sheet.question}>
      <Words as="label">{label}</Words>
      <Choices label={label}>
        {of.map((each) => (
          <Choice key={each} word={words[each]} isChosen={each === chosen} onPress={() => onChoose(each)} />
        ))}
      </Choices>
    </View>
  );
}

const DAYS_OFFERED = 5;

/** The day for which it is planned: one of the next, or none. */
export function OnDay({
  settings,
  day,
  onChoose,
}: {
  readonly settings: Settings;
  /** Empty for none. */
  readonly day: string;
  readonly onChoose: (day: LocalDay | '') => void;
}): ReactElement {
  const { zone, language } = settings;
  const today = localDate(now(), zone);
  const days = Array.from({ length: DAYS_OFFERED }, (_, after) => addDays(today, after));
  return (
    <View style={sheet.question}>
      <Words as="label">On which day</Words>
      <Choices label="On which day">
        {days.map((each) => (
          <Choice
            key={each}
            word={sayLocalDay(each, now(), zone, language)}
            isChosen={each === day}
            onPress={() => onChoose(each === day ? '' : each)}
          />
        ))}
      </Choices>
    </View>
  );
}

/** People and a crew. */
export function WhoDoesIt({
  asset,
  personIds,
  crewId = null,
  onPeople,
  onCrew,
}: {
  readonly asset: Asset;
  readonly personIds: readonly PersonId[];
  readonly crewId?: CrewId | null;
  readonly onPeople: (ids: readonly PersonId[]) => void;
  /** Left out where it is given to people only. */
  readonly onCrew?: (id: CrewId | null) => void;
}): ReactElement {
  const people = useTable('people').filter(({ siteIds }) => siteIds.includes(asset.siteId));
  const allCrews = useTable('crews');
  const crews = onCrew === undefined ? [] : allCrews.filter(({ siteIds }) => siteIds.includes(asset.siteId));
  return (
    <View style={sheet.group} role="group" aria-label="Who does it">
      <Words as="label">Who does it</Words>
      <View style={sheet.choices}>
        {people.map(({ id, name }) => (
          <Choice
            key={id}
            isMany
            word={name}
            isChosen={personIds.includes(id)}
            onPress={() => onPeople(toggled(personIds, id))}
          />
        ))}
        {crews.map(({ id, name }) => (
          <Choice
            key={id}
            isMany
            word={name}
            isChosen={crewId === id}
            onPress={() => onCrew?.(crewId === id ? null : id)}
          />
        ))}
      </View>
    </View>
  );
}

/** The procedures that are likest to what is to be done, of which one may be chosen. */
export function ProcedureChoice({
  asset,
  title,
  chosen,
  onChoose,
}: {
  readonly asset: Asset;
  readonly title: string;
  readonly chosen: Procedure | null;
  readonly onChoose: (procedure: Procedure | null) => void;
}): ReactElement | null {
  const procedures = useRows('procedures', 'site', asset.siteId);
  const likeliest = useMemo(
    () =>
      byLikeness(procedures, { words: title, equipmentClass: asset.equipmentClass, assetId: asset.id }).slice(
        0,
        PROCEDURES_OFFERED,
      ),
    [procedures, title, asset],
  );
  if (likeliest.length === 0) return null;
  return (
    <View style={sheet.group} role="group" aria-label="By a procedure">
      <Words as="label">By a procedure</Words>
      <View style={sheet.choices}>
        {likeliest.map((each) => (
          <Choice
            key={each.id}
            isMany
            word={`${each.title}, ${counted(each.steps.length, 'step', 'steps')}`}
            isChosen={chosen?.id === each.id}
            onPress={() => onChoose(chosen?.id === each.id ? null : each)}
          />
        ))}
      </View>
    </View>
  );
}

/** The parts that work by the chosen procedure takes. */
export function KitOfProcedure({ kit }: { readonly kit: readonly KitPart[] }): ReactElement | null {
  if (kit.length === 0) return null;
  return (
    <View style={sheet.group}>
      <Words as="label">Kit of the procedure</Words>
      {kit.map(({ partId, quantity }) => {
        const part = peekRow('parts', partId);
        return (
          <Words key={partId}>
            {amountOf(quantity, part)} {part?.name ?? ''}
          </Words>
        );
      })}
    </View>
  );
}

const sheet = StyleSheet.create({
  question: { gap: 6 },
  group: { gap: 6, alignItems: 'flex-start' },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
