import { useEffect, type ReactElement } from 'react';
import type { AssetId, EntryId } from '@oilcan/core/kernel';
import {
  activities,
  causes,
  detections,
  mechanisms,
  nameOfMode,
  plainMode,
  type FailureMode,
} from '@oilcan/core/recording/faults';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useMachineAndPieces } from '../../../data/queries/machines-of-work';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { CodeChoice } from './code-choice';

/** What is said of a fault of a mode; null where nobody said yet. */
export interface TypedFault {
  /** The machine, or a part of it that is a machine of its own. */
  readonly assetId: AssetId;
  readonly component: string;
  readonly text: string;
  readonly detection: string | null;
  readonly activity: string | null;
  readonly mechanism: string | null;
  readonly cause: string | null;
}

interface Props {
  readonly work: WorkOrder;
  readonly mode: FailureMode;
  readonly start: TypedFault;
  /** The fault that is amended; null for a new one. */
  readonly entryId: EntryId | null;
  readonly onClose: () => void;
}

/** What is coded beside the mode, in the order in which it is known. */
const codes = [
  { name: 'activity', label: 'What was done', more: 'Other work', names: activities, usual: ['1', '2', '4', '7', '6'] },
  {
    name: 'detection',
    label: 'How it was noticed',
    more: 'Other ways',
    names: detections,
    usual: ['8', '7', '3', '1'],
  },
  { name: 'cause', label: 'Cause', more: 'Other causes', names: causes, usual: ['3.4', '3.3', '5.4', '5.1'] },
  {
    name: 'mechanism',
    label: 'Mechanism',
    more: 'Other mechanisms',
    names: mechanisms,
    usual: ['2.4', '1.1', '1.5', '5.2'],
  },
] as const;

/** How a fault was noticed, what was done, and why it came; what is not known yet is said later. */
export function FaultForm({ work, mode, start, entryId, onClose }: Props): ReactElement {
  const { form, submit, refusal } = useOperationForm<'fault.add' | 'fault.amend', TypedFault>({
    operation: entryId === null ? 'fault.add' : 'fault.amend',
    about: entryId ?? `${work.id} ${mode}`,
    defaultValues: start,
    read: ({ assetId, component, text, detection, activity, mechanism, cause }) => {
      const coded = {
        workOrderId: work.id,
        mode,
        component: component.trim(),
        mechanism,
        cause,
        detection: detection === null ? null : Number(detection),
        activity: activity === null ? null : Number(activity),
        text: text.trim(),
      };
      return { args: entryId === null ? { ...coded, assetId } : { ...coded, entryId } };
    },
    said: entryId === null ? 'Fault kept.' : 'Fault amended.',
    onDone: onClose,
  });
  const assetId = form.watch('assetId');
  const machines = useMachineAndPieces(work.assetId);
  // Another machine of the round was chosen while the form is open.
  useEffect(() => {
    if (entryId === null) form.setValue('assetId', start.assetId);
  }, [form, entryId, start.assetId]);
  return (
    <BottomSheet
      title={plainMode(mode)}
      aside={`${mode}: ${nameOfMode(mode).toLowerCase()}`}
      onClose={onClose}
      foot={<Button rank="primary" word={entryId === null ? 'Keep the fault' : 'Amend the fault'} onPress={submit} />}
    >
      {entryId !== null || machines.length < 2 ? null : (
        <Choices label="Machine">
          {machines.map(({ id, name }) => (
            <Choice key={id} word={name} isChosen={id === assetId} onPress={() => form.setValue('assetId', id)} />
          ))}
        </Choices>
      )}
      <FormField control={form.control} name="component" label="Which part of the machine" />
      {codes.map(({ name, ...about }) => (
        <CodeChoice key={name} {...about} value={form.watch(name)} onChange={(next) => form.setValue(name, next)} />
      ))}
      <FormField control={form.control} name="text" label="More about it (not needed)" lines={3} />
      <FormRefusal sentence={form.formState.errors.assetId?.message ?? refusal} />
    </BottomSheet>
  );
}
