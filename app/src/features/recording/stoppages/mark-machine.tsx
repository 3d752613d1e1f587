import { useState, type ReactElement } from 'react';
import { View } from 'react-native';
import type { WorkOrderId } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import { isAssignedTo, isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { furtherWorkOrder } from '../../../data/queries/new-work';
import { now, peekRow, usePhone, useRow, useRows } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { useOperation } from '../../../data/store/use-operation';
import { useMadeWork } from '../../orders/work';
import { HowStopped, type How } from './how-stopped';
import { OutNow } from './out-now';

interface Props {
  readonly asset: Asset;
  readonly onClose: () => void;
}

/** On the page of a machine: that it stands still, runs reduced, or runs again. The same act as on a job. */
export function MarkMachine({ asset, onClose }: Props): ReactElement {
  const mine = useMyWorkOn(asset);
  if (asset.condition !== 'running') return <OutNow asset={asset} onClose={onClose} />;
  return mine.length === 0 ? (
    <NewWork asset={asset} onClose={onClose} />
  ) : (
    <OnMyWork asset={asset} mine={mine} onClose={onClose} />
  );
}

/** My open jobs on a machine. */
function useMyWorkOn(asset: Asset): WorkOrder[] {
  const me = useMe();
  const works = useRows('workOrders', 'asset', asset.id);
  return works.filter((work) => {
    const crew = work.crewId === null ? undefined : peekRow('crews', work.crewId);
    return isOpen(work.state) && isAssignedTo(work, me, crew);
  });
}

const stillNow: How = { extent: 'full', lostPercent: null };

/** It is recorded on a job that is there already. */
function OnMyWork({ asset, mine, onClose }: Props & { readonly mine: readonly WorkOrder[] }): ReactElement {
  const { run, refusal, errorAt } = useOperation();
  const [chosen, setChosen] = useState<WorkOrderId | undefined>(mine[0]?.id);
  const [how, setHow] = useState<How>(stillNow);
  const mark = async (): Promise<void> => {
    if (chosen === undefined) return;
    const stoppage = { workOrderId: chosen, assetId: asset.id, from: now(), to: null, ...how, isPlanned: false };
    if (await run('stoppage.add', stoppage, `${asset.name} is marked as out.`)) onClose();
  };
  return (
    <BottomSheet
      title="Mark it as out"
      aside={asset.name}
      onClose={onClose}
      foot={<Button rank="primary" word="Out from now on" onPress={() => void mark()} />}
    >
      <HowStopped how={how} onChange={setHow} />
      <AppText as="label">Recorded on</AppText>
      <Choices label="Recorded on">
        {mine.map(({ id, number, title }) => (
          <Choice key={id} word={`${number} ${title}`} isChosen={id === chosen} onPress={() => setChosen(id)} />
        ))}
      </Choices>
      <FormRefusal sentence={errorAt(refusal?.field ?? '')} />
    </BottomSheet>
  );
}

/** Nobody works on it yet: what is wrong becomes work, with the stoppage on it. */
function NewWork({ asset, onClose }: Props): ReactElement {
  const makes = useMadeWork();
  const person = usePhone((state) => state.person);
  const parent = useRow('assets', asset.parentId);
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.raise',
    about: asset.id,
    defaultValues: { title: '', how: stillNow },
    read: ({ title, how }: { readonly title: string; readonly how: How }) => ({
      args: {
        ...furtherWorkOrder({
          assetId: asset.id,
          title,
          reason: '',
          urgency: 'now',
          tradeId: person?.tradeId ?? null,
          cameFrom: null,
        }),
        stoppage: { from: now(), ...how },
      },
    }),
    said: (_, __, made) => `${asset.name} is marked as out. ${makes.said(made, 'raised')}`,
    opens: makes.opens,
    onDone: onClose,
  });
  const how = form.watch('how');
  return (
    <BottomSheet
      title="Mark it as out"
      aside={asset.name}
      onClose={onClose}
      foot={<Button rank="primary" word="Out from now on" onPress={submit} />}
    >
      <View style={{ gap: 12 }}>
        <HowStopped how={how} onChange={(next) => form.setValue('how', next)} />
        <FormField control={form.control} name="title" label="What is wrong" onEnter={submit} autoFocus />
        {parent === undefined ? null : (
          <AppText as="small" soft>
            Part of {parent.name}, which is not marked by this.
          </AppText>
        )}
        <FormRefusal sentence={refusal} />
      </View>
    </BottomSheet>
  );
}
