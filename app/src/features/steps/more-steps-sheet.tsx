import { useMemo, type ReactElement } from 'react';
import { List } from 'react-native-paper';
import type { AssetId, StopId } from '@oilcan/core/kernel';
import { byLikeness, type Procedure } from '@oilcan/core/procedures';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import type { WorkOrder } from '@oilcan/core/work';
import { useRow, useRows } from '../../data/store';
import { performOrSay } from '../../data/use-operation';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { BottomSheet } from '../../ui/bottom-sheet';
import { useNotice } from '../../ui/use-notice';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { textStyles } from '../../ui/type';
import { counted } from '../../words/work-words';
import { noStep, stepFrom, TypeStep } from './new-steps-field';

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
      <TypedStep where={where} assetId={stop?.assetId ?? work.assetId} onDone={onClose} />
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
