import { useMemo, useState, type ReactElement } from 'react';
import { List } from 'react-native-paper';
import type { StopId } from '@oilcan/core/kernel';
import { byLikeness, type Procedure } from '@oilcan/core/procedures';
import type { ArgsOf } from '@oilcan/core/registry';
import type { StepQuestion } from '@oilcan/core/steps';
import type { WorkOrder } from '@oilcan/core/work';
import { useRow, useRows } from '../../data/store';
import { performOrSay } from '../../data/use-operation';
import { FormField } from '../../forms/form-field';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { BottomSheet } from '../../ui/bottom-sheet';
import { useNotice } from '../../ui/use-notice';
import { Choice, Choices } from '../../ui/choice';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { textStyles } from '../../ui/type';
import { counted } from '../../words/work-words';

/** What a typed step may ask for without more being said. */
const typedKinds: readonly { readonly type: 'tick' | 'finding' | 'text' | 'photo'; readonly word: string }[] = [
  { type: 'tick', word: 'To be done' },
  { type: 'finding', word: 'Good or faulty' },
  { type: 'text', word: 'To be written' },
  { type: 'photo', word: 'Photo' },
];

interface Props {
  readonly work: WorkOrder;
  /** The stop of a round at which they are added; undefined for the job as a whole. */
  readonly stopId?: StopId;
  readonly onClose: () => void;
}

/** Steps that are added during the job: out of a procedure, those most like the job first, or typed. */
export function MoreStepsSheet({ work, stopId, onClose }: Props): ReactElement {
  const say = useNotice((state) => state.say);
  const stop = useRow('stops', stopId);
  const asset = useRow('assets', stop?.assetId ?? work.assetId);
  const where = { workOrderId: work.id, ...(stopId === undefined ? {} : { stopId }) };
  const procedures = useRows('procedures', 'site', work.siteId);
  const likest = useMemo(() => {
    const words = `${work.title} ${work.reason} ${asset?.name ?? ''}`;
    return byLikeness(procedures, { words, equipmentClass: asset?.equipmentClass ?? null, assetId: asset?.id ?? null });
  }, [procedures, work, asset]);
  const add = async ({ id, title, steps }: Procedure): Promise<void> => {
    if (!(await performOrSay('steps.add', { ...where, procedureId: id, steps }))) return;
    say(`${counted(steps.length, 'step', 'steps')} of “${title}” added.`);
    onClose();
  };
  return (
    <BottomSheet title="More steps" onClose={onClose}>
      <TypedStep where={where} onDone={onClose} />
      <Words as="label">Procedures, the likeliest first</Words>
      {likest.length === 0 ? <Words soft>There is no procedure on this site yet.</Words> : null}
      {likest.map((procedure) => (
        <List.Item
          key={procedure.id}
          title={procedure.title}
          titleNumberOfLines={3}
          titleStyle={textStyles.label}
          description={`${counted(procedure.steps.length, 'step', 'steps')}: ${firstOf(procedure)} …`}
          descriptionStyle={textStyles.small}
          accessibilityRole="button"
          onPress={() => void add(procedure)}
        />
      ))}
    </BottomSheet>
  );
}

function firstOf({ steps }: Procedure): string {
  return steps
    .slice(0, 2)
    .map(({ text }) => text)
    .join(', ');
}

interface TypedStepProps {
  readonly where: Pick<ArgsOf<'steps.add'>, 'workOrderId' | 'stopId'>;
  readonly onDone: () => void;
}

function TypedStep({ where, onDone }: TypedStepProps): ReactElement {
  const [type, setType] = useState<(typeof typedKinds)[number]['type']>('tick');
  const { form, submit, refusal } = useOperationForm({
    operation: 'steps.add',
    about: where.workOrderId,
    defaultValues: { text: '' },
    fieldOf: () => 'text',
    read: ({ text }) => {
      const question: StepQuestion = { type };
      const steps = [{ text, question, under: null, when: null }];
      return { args: { ...where, procedureId: null, steps } };
    },
    said: 'Step added.',
    onDone,
  });
  return (
    <>
      <FormField control={form.control} name="text" label="A step of its own" onEnter={submit} />
      <Choices label="What it asks for">
        {typedKinds.map((kind) => (
          <Choice key={kind.type} word={kind.word} isChosen={kind.type === type} onPress={() => setType(kind.type)} />
        ))}
      </Choices>
      <FormRefusal sentence={refusal} />
      <Button word="Add this step" onPress={submit} />
    </>
  );
}
