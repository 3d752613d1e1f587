import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { SiteId } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import { byLikeness, stepsChosen, type Procedure } from '@oilcan/core/steps/procedures';
import type { NewStep } from '@oilcan/core/steps/steps';
import { useFoundProcedures } from '../../../data/find/use-found';
import { peekRow, usePhone, useTable } from '../../../data/store/store';
import { CheckRow } from '../../../ui/fields/check-row';
import { FilterChip } from '../../../ui/fields/filter-chips';
import { FindInput } from '../../../ui/fields/find-input';
import { List } from '../../../ui/layout/list';
import { More } from '../../../ui/press/more';
import { AppText } from '../../../ui/theme/app-text';
import { toggled } from '../../../ui/state/toggled';
import { counted } from '../../../words/work-words';

const MOST_SHOWN = 12;

/** Of each procedure, by its id, which of its steps are chosen, counted from 0. */
export type ChosenOf = ReadonlyMap<string, readonly number[]>;

/** The steps that are chosen, procedure by procedure. */
export function chosenSteps(chosen: ChosenOf): { readonly procedure: Procedure; readonly steps: readonly NewStep[] }[] {
  return [...chosen].flatMap(([id, places]) => {
    const procedure = peekRow('procedures', id as Procedure['id']);
    if (procedure === undefined) return [];
    const steps = stepsChosen(procedure.steps, places);
    return steps.length === 0 ? [] : [{ procedure, steps }];
  });
}

interface Props {
  /** What is to be done, and on which machine. */
  readonly words: string;
  readonly asset: Asset | undefined;
  readonly siteId: SiteId;
  readonly chosen: ChosenOf;
  readonly onChange: (chosen: ChosenOf) => void;
}

/**
 * Whole procedures, or some of their steps, of which several are chosen: by any word of them, those for such a machine and most like the job
 * first, and of other sites where the person works there too.
 */
export function StepsOfProcedures({ words, asset, siteId, chosen, onChange }: Props): ReactElement {
  const [typed, setTyped] = useState('');
  const [isEverywhere, setIsEverywhere] = useState(false);
  const mySites = usePhone(({ person }) => person?.siteIds);
  const all = useTable('procedures');
  const isElsewhere = all.some((each) => each.siteId !== siteId && mySites?.includes(each.siteId) === true);
  const likest = useMemo(() => {
    const mine = all.filter((each) => each.siteId === siteId || (isEverywhere && mySites?.includes(each.siteId)));
    return byLikeness(mine, { words, equipmentClass: asset?.equipmentClass ?? null, assetId: asset?.id ?? null });
  }, [all, siteId, isEverywhere, mySites, words, asset]);
  const shown = useFoundProcedures(typed, MOST_SHOWN, likest);
  const set = (id: string, places: readonly number[]): void => {
    const next = new Map(chosen);
    if (places.length === 0) next.delete(id);
    else next.set(id, places);
    onChange(next);
  };
  return (
    <View style={sheet.group}>
      <AppText as="label">Out of procedures, the likeliest first</AppText>
      <FindInput label="Find a procedure or a step" value={typed} onChange={setTyped} />
      {isElsewhere ? (
        <View style={sheet.chips}>
          <FilterChip word="Other sites too" isOn={isEverywhere} onPress={() => setIsEverywhere(!isEverywhere)} />
        </View>
      ) : null}
      {likest.length === 0 ? <AppText soft>There is no procedure on this site yet.</AppText> : null}
      {likest.length > 0 && shown.length === 0 ? <AppText live>No procedure fits “{typed.trim()}”.</AppText> : null}
      <List label="Procedures">
        {shown.map((procedure) => (
          <ProcedureRow
            key={procedure.id}
            procedure={procedure}
            site={procedure.siteId === siteId ? '' : (peekRow('sites', procedure.siteId)?.name ?? 'another site')}
            places={chosen.get(procedure.id) ?? []}
            onChange={(places) => set(procedure.id, places)}
          />
        ))}
      </List>
      {typed.trim() === '' && likest.length > MOST_SHOWN ? (
        <AppText as="small" soft>
          {likest.length - MOST_SHOWN} more are found by their words.
        </AppText>
      ) : null}
    </View>
  );
}

interface RowProps {
  readonly procedure: Procedure;
  /** Where it is from, where that is another site. */
  readonly site: string;
  readonly places: readonly number[];
  readonly onChange: (places: readonly number[]) => void;
}

/** A procedure that is taken whole with one press, or step by step. */
function ProcedureRow({ procedure: { title, steps }, site, places, onChange }: RowProps): ReactElement {
  const beginning = steps
    .slice(0, 2)
    .map(({ text }) => text)
    .join(', ');
  const some = places.length > 0 && places.length < steps.length ? `${places.length} of ` : '';
  const more = `${some}${counted(steps.length, 'step', 'steps')}: ${beginning}${steps.length > 2 ? ' …' : ''}`;
  return (
    <View>
      <CheckRow
        title={title}
        more={site === '' ? more : `${site} · ${more}`}
        isChosen={places.length > 0}
        onPress={() => onChange(places.length > 0 ? [] : steps.map((_, at) => at))}
      />
      {steps.length < 2 ? null : (
        <More label={`steps of ${title}`} word="Only some of its steps">
          <View style={sheet.steps}>
            {steps.map(({ text }, at) => (
              <CheckRow
                key={`${at} ${text}`}
                title={`${at + 1}. ${text}`}
                isChosen={places.includes(at)}
                onPress={() => onChange(toggled(places, at))}
              />
            ))}
          </View>
        </More>
      )}
    </View>
  );
}

const sheet = StyleSheet.create({
  group: { gap: 6, alignSelf: 'stretch' },
  chips: { flexDirection: 'row' },
  steps: { flex: 1, paddingLeft: 24 },
});
