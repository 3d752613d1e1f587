import { useMemo, useState, type ReactElement } from 'react';
import { View } from 'react-native';
import {
  activities,
  causes,
  detections,
  faultChoices,
  findFaults,
  mechanisms,
  nameOfMode,
  usualFaults,
  type FailureMode,
  type FaultChoice,
  type UsualFault,
} from '@oilcan/core/faults';
import type { WorkOrder } from '@oilcan/core/work';
import { usePast } from '../../data/past/use-past';
import { useRow } from '../../data/store';
import { FormField } from '../../forms/form-field';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Button, Press } from '../../ui/press';
import { Words } from '../../ui/words';
import { CodeChoice } from './code-choice';
import { faultWords } from './fault-words';

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
  const past = usePast({ scope: 'asset', id: work.assetId });
  const jobs = past.is === 'here' ? past.whole?.jobs : undefined;
  const usual = useMemo(
    () => usualFaults((jobs ?? []).flatMap(({ at, faults }) => faults.map((fault) => ({ at, fault })))),
    [jobs],
  );
  const choices = useMemo(() => faultChoices(asset?.equipmentClass ?? ''), [asset]);
  const [find, setFind] = useState('');
  const [chosen, setChosen] = useState<UsualFault | FaultChoice | null>(null);
  const found = useMemo(() => {
    const isUsual = (choice: FaultChoice): boolean =>
      usual.some(({ component, mode }) => component === choice.component && mode === choice.mode);
    return findFaults(choices, find).filter((choice) => find !== '' || !isUsual(choice));
  }, [choices, find, usual]);
  if (chosen !== null) return <FaultForm work={work} choice={chosen} onClose={onClose} />;
  return (
    <BottomSheet title="Fault" aside={asset?.name ?? ''} onClose={onClose}>
      {find === '' && usual.length > 0 ? (
        <View role="group" aria-label="Usual here">
          <Words as="label">Usual here</Words>
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
      <Field label="What is wrong, in plain words" value={find} onChange={setFind} autoFocus={usual.length === 0} />
      {found.slice(0, SHOWN).map((each) => (
        <ChoiceRow
          key={`${each.component} ${each.mode}`}
          words={faultWords(each)}
          detail={each.mode}
          onPress={() => setChosen(each)}
        />
      ))}
      {found.length === 0 ? (
        <Words live>Nothing in the catalogue fits “{find}”. Try another word, or “other”.</Words>
      ) : null}
      {found.length > SHOWN ? <Words soft>And {found.length - SHOWN} more: type a word to find them.</Words> : null}
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
      <Words>{words}</Words>
      <Words as="small" soft>
        {detail}
      </Words>
    </Press>
  );
}

interface FormProps extends Props {
  readonly choice: UsualFault | FaultChoice;
}

interface Typed {
  readonly component: string;
  readonly text: string;
  readonly detection: string | null;
  readonly activity: string | null;
  readonly mechanism: string | null;
  readonly cause: string | null;
}

/** How it was noticed and what was done; mechanism and cause may come later. */
function FaultForm({ work, choice, onClose }: FormProps): ReactElement {
  const before = 'count' in choice ? choice : null;
  const { form, submit, refusal } = useOperationForm<'fault.add', Typed>({
    operation: 'fault.add',
    defaultValues: {
      component: choice.component,
      text: '',
      detection: String(before?.detection ?? detectionOf(work)),
      activity: null,
      mechanism: before?.mechanism === '' ? null : (before?.mechanism ?? null),
      cause: null,
    },
    read: ({ component, text, detection, activity, mechanism, cause }: Typed) => ({
      args: {
        workOrderId: work.id,
        assetId: null,
        mode: choice.mode as FailureMode,
        component: component.trim(),
        mechanism,
        cause,
        detection: detection === null ? null : Number(detection),
        activity: activity === null ? null : Number(activity),
        text: text.trim(),
      },
    }),
    said: 'Fault kept.',
    onDone: onClose,
  });
  const [detection, activity, mechanism, cause] = form.watch(['detection', 'activity', 'mechanism', 'cause']);
  return (
    <BottomSheet
      title={nameOfMode(choice.mode)}
      aside={choice.mode}
      onClose={onClose}
      foot={<Button main word="Keep the fault" onPress={submit} />}
    >
      <FormField control={form.control} name="component" label="Which part of the machine" />
      <CodeChoice
        label="What was done"
        more="Other work"
        names={activities}
        usual={['1', '2', '4', '7', '6']}
        value={activity}
        onChange={(next) => form.setValue('activity', next)}
      />
      <CodeChoice
        label="How it was noticed"
        more="Other ways"
        names={detections}
        usual={['8', '7', '3', '1']}
        value={detection}
        onChange={(next) => form.setValue('detection', next)}
      />
      <CodeChoice
        label="Cause"
        more="Other causes"
        names={causes}
        usual={['3.4', '3.3', '5.4', '5.1']}
        value={cause}
        onChange={(next) => form.setValue('cause', next)}
      />
      <CodeChoice
        label="Mechanism"
        more="Other mechanisms"
        names={mechanisms}
        usual={['2.4', '1.1', '1.5', '5.2']}
        value={mechanism}
        onChange={(next) => form.setValue('mechanism', next)}
      />
      <FormField control={form.control} name="text" label="More about it (not needed)" lines={3} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

/** How a failure is noticed on a job of its kind. */
function detectionOf({ kind }: WorkOrder): number {
  return kind === 'inspection' ? 3 : kind === 'preventive' ? 1 : 8;
}
