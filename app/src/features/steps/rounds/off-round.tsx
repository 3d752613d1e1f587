import { useRouter } from 'expo-router';
import type { ReactElement } from 'react';
import type { Asset } from '@oilcan/core/plant/plant';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { furtherWorkOrder } from '../../../data/queries/new-work';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { Button } from '../../../ui/press/press';
import { useMadeWork } from '../../orders/work';

interface Props {
  readonly work: WorkOrder;
  readonly asset: Asset;
  readonly onDone: () => void;
}

/** A machine that is on no stop of the round: what is wrong there becomes work of its own, or it is looked at. */
export function OffRound({ work, asset, onDone }: Props): ReactElement {
  const router = useRouter();
  const makes = useMadeWork();
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.raise',
    about: `${work.id} ${asset.id}`,
    defaultValues: { title: '' },
    read: ({ title }) => ({
      args: furtherWorkOrder({
        assetId: asset.id,
        title,
        reason: `Noticed on ${work.number}, ${work.title}.`,
        urgency: 'week',
        tradeId: work.tradeId,
        cameFrom: work.id,
      }),
    }),
    said: (_, __, made) => makes.said(made, 'raised'),
    opens: makes.opens,
    onDone,
  });
  return (
    <>
      <FormField control={form.control} name="title" label={`What is wrong with ${asset.name}?`} onEnter={submit} />
      <FormRefusal sentence={refusal} />
      <Button word="Report it" onPress={submit} />
      <Button word={`Open ${asset.name}`} onPress={() => router.navigate(`/plant/${asset.id}`)} />
    </>
  );
}
