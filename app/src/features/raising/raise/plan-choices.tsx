import { useMemo, type ReactElement } from 'react';
import { DayChoice } from '../../../forms/day-choice';
import { StyleSheet, View } from 'react-native';
import type { LocalDay } from '@oilcan/core/kernel';
import type { Settings } from '@oilcan/core/orders/settings';
import type { Asset } from '@oilcan/core/plant/plant';
import { byLikeness, type Procedure } from '@oilcan/core/steps/procedures';
import type { KitPart } from '@oilcan/core/orders/work';
import { peekRow, useRows } from '../../../data/store/store';
import { Choice, Choices } from '../../../ui/fields/choice';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { counted } from '../../../words/work-words';

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
      <AppText as="label">{label}</AppText>
      <Choices label={label}>
        {of.map((each) => (
          <Choice key={each} word={words[each]} isChosen={each === chosen} onPress={() => onChoose(each)} />
        ))}
      </Choices>
    </View>
  );
}

const NEXT_DAYS = [0, 1, 2, 3, 4];

/** The day for which it is planned, or none. */
export function OnDay({
  settings: { zone, language },
  day,
  onChoose,
}: {
  readonly settings: Settings;
  /** Empty for none. */
  readonly day: string;
  readonly onChoose: (day: LocalDay | '') => void;
}): ReactElement {
  return (
    <DayChoice
      label="On which day"
      offered={NEXT_DAYS}
      first={0}
      zone={zone}
      language={language}
      day={day}
      onChoose={onChoose}
    />
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
      <AppText as="label">By a procedure</AppText>
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
      <AppText as="label">Kit of the procedure</AppText>
      {kit.map(({ partId, quantity }) => {
        const part = peekRow('parts', partId);
        return (
          <AppText key={partId}>
            {amountOf(quantity, part)} {part?.name ?? ''}
          </AppText>
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
