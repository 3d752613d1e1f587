import { useState, type ReactElement } from 'react';
import type { AssetId, StopId } from '@oilcan/core/kernel';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';
import { counted } from '../../../words/work-words';
import { noStep, stepFrom, TypeStep } from './new-steps-field';
import { chosenSteps, StepsOfProcedures, type ChosenOf } from './steps-of-procedures';

interface Props {
  readonly work: WorkOrder;
  /** The stop of a round at which they are added; undefined for the job as a whole. */
  readonly stopId?: StopId;
  readonly onClose: () => void;
}

/** Steps that are added during the job: out of procedures, those most like the job first, or typed. */
export function MoreStepsSheet({ work, stopId, onClose }: Props): ReactElement {
  const say = useNotice((state) => state.say);
  const stop = useRow('stops', stopId);
  const asset = useRow('assets', stop?.assetId ?? work.assetId);
  const [chosen, setChosen] = useState<ChosenOf>(new Map());
  const where = { workOrderId: work.id, ...(stopId === undefined ? {} : { stopId }) };
  const taken = chosenSteps(chosen);
  const count = taken.reduce((sum, { steps }) => sum + steps.length, 0);
  const add = async (): Promise<void> => {
    for (const { procedure, steps } of taken)
      if (!(await performOrSay('steps.add', { ...where, procedureId: procedure.id, steps }))) return;
    const from = taken.length === 1 ? `“${taken[0]?.procedure.title ?? ''}”` : `${taken.length} procedures`;
    say(`${counted(count, 'step', 'steps')} of ${from} added.`);
    onClose();
  };
  return (
    <BottomSheet
      title="More steps"
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={count === 0 ? 'Add steps' : `Add ${counted(count, 'step', 'steps')}`}
          cannot={count === 0 && 'Choose a procedure first, or write a step.'}
          onPress={() => void add()}
        />
      }
    >
      <TypedStep where={where} assetId={stop?.assetId ?? work.assetId} onDone={onClose} />
      <StepsOfProcedures
        words={`${work.title} ${work.reason} ${asset?.name ?? ''}`}
        asset={asset}
        siteId={work.siteId}
        chosen={chosen}
        onChange={setChosen}
      />
    </BottomSheet>
  );
}

interface TypedStepProps {
  readonly where: Pick<ArgsOf<'steps.add'>, 'workOrderId' | 'stopId'>;
  readonly assetId: AssetId;
  readonly onDone: () => void;
}

/** A step of any kind that is written here. */
function TypedStep({ where, assetId, onDone }: TypedStepProps): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'steps.add',
    about: where.workOrderId,
    defaultValues: { typed: noStep },
    fieldOf: () => 'typed',
    read: ({ typed }) => {
      const step = stepFrom(typed);
      return typeof step === 'string'
        ? { unreadable: 'typed', hint: step }
        : { args: { ...where, procedureId: null, steps: [step] } };
    },
    said: 'Step added.',
    onDone,
  });
  const typed = form.watch('typed');
  return (
    <>
      <TypeStep
        assetId={assetId}
        typed={typed}
        onChange={(next) => form.setValue('typed', next)}
        error={form.formState.errors.typed?.message ?? null}
      />
      <FormRefusal sentence={refusal} />
      <Button word="Add this step" onPress={submit} />
    </>
  );
}
