import { useMemo, useState, type ReactElement } from 'react';
import { View } from 'react-native';
import {
  faultChoices,
  findFaults,
  usualFaults,
  type FaultChoice,
  type UsualFault,
} from '@oilcan/core/recording/faults';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { usePast } from '../../../data/queries/use-past';
import { useRow, useSettings } from '../../../data/store/store';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Field } from '../../../ui/fields/field';
import { Press } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { FaultForm, type TypedFault } from './fault-form';
import { faultWords, plainFault } from './words';

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** So many rows are shown at once; more typing shows fewer. */
const SHOWN = 12;
const SHOWN_USUAL = 5;

/** What is wrong, by what this machine usually has, in plain words, or out of the whole catalogue. */
export function FaultSheet({ work, onClose }: Props): ReactElement {
  const asset = useRow('assets', work.assetId);
  const settings = useSettings(work.siteId);
  const past = usePast({ scope: 'asset', id: work.assetId });
  const jobs = past.is === 'here' ? past.whole?.jobs : undefined;
  const usual = useMemo(
    () => usualFaults((jobs ?? []).flatMap(({ at, faults }) => faults.map((fault) => ({ at, fault })))),
    [jobs],
  );
  const choices = useMemo(() => faultChoices(asset?.equipmentClass ?? '', settings?.faultCatalogue), [asset, settings]);
  const [find, setFind] = useState('');
  const [chosen, setChosen] = useState<UsualFault | FaultChoice | null>(null);
  const found = useMemo(() => {
    const isUsual = (choice: FaultChoice): boolean =>
      usual.some(({ component, mode }) => component === choice.component && mode === choice.mode);
    return findFaults(choices, find).filter((choice) => find !== '' || !isUsual(choice));
  }, [choices, find, usual]);
  if (chosen !== null) {
    return <FaultForm work={work} mode={chosen.mode} start={startOf(chosen, work)} entryId={null} onClose={onClose} />;
  }
  return (
    <BottomSheet title="Fault" aside={asset?.name ?? ''} onClose={onClose}>
      {find === '' && usual.length > 0 ? (
        <View role="group" aria-label="Usual here">
          <AppText as="label">Usual here</AppText>
          {usual.slice(0, SHOWN_USUAL).map((each) => (
            <ChoiceRow
              key={`${each.component} ${each.mode}`}
              words={faultWords(each)}
              detail={each.count === 1 ? 'once before' : `${each.count} times before`}
              onPress={() => setChosen(each)}
            />
          ))}
        </View>
      ) : null}
      <Field
        label="What is wrong"
        isFind
        hint="in plain words, such as leaks"
        value={find}
        onChange={setFind}
        autoFocus={usual.length === 0}
      />
      {found.slice(0, SHOWN).map((each) => (
        <ChoiceRow
          key={`${each.component} ${each.mode}`}
          words={plainFault(each)}
          detail={each.mode}
          onPress={() => setChosen(each)}
        />
      ))}
      {found.length === 0 ? (
        <AppText live>Nothing in the catalogue fits “{find}”. Try another word, or “other”.</AppText>
      ) : null}
      {found.length > SHOWN ? <AppText soft>And {found.length - SHOWN} more: type a word to find them.</AppText> : null}
    </BottomSheet>
  );
}

interface RowProps {
  readonly words: string;
  readonly detail: string;
  readonly onPress: () => void;
}

function ChoiceRow({ words, detail, onPress }: RowProps): ReactElement {
  return (
    <Press onPress={onPress}>
      <AppText>{words}</AppText>
      <AppText as="small" soft>
        {detail}
      </AppText>
    </Press>
  );
}

/** What is likely of a fault before anything is said: as it was the last time, else as such jobs notice it. */
function startOf(choice: UsualFault | FaultChoice, work: WorkOrder): TypedFault {
  const before = 'count' in choice ? choice : null;
  return {
    assetId: work.assetId,
    component: choice.component,
    text: '',
    detection: String(before?.detection ?? detectionOf(work)),
    activity: null,
    mechanism: before === null || before.mechanism === '' ? null : before.mechanism,
    cause: null,
  };
}

/** How a failure is noticed on a job of its kind. */
function detectionOf({ kind }: WorkOrder): number {
  return kind === 'inspection' ? 3 : kind === 'preventive' ? 1 : 8;
}
