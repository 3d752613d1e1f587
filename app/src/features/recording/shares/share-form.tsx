import type { ReactElement } from 'react';
import { PeopleChoice } from '../../../forms/people-choice';
import { usePeopleOf, workers } from '../../../data/queries/use-people-of';
import { tradesOfWork } from '@oilcan/core/orders/settings';
import { StyleSheet, View } from 'react-native';
import {
  formatDuration,
  parseDuration,
  type AssetId,
  type PersonId,
  type StepId,
  type StopId,
} from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { inWalkingOrder } from '@oilcan/core/steps/rounds';
import type { Share } from '@oilcan/core/recording/shares';
import { placed, type Step } from '@oilcan/core/steps/steps';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useMachinesOf } from '../../../data/queries/machines-of-work';
import { peekRow, usePhone, useRows, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { DurationField } from '../../../forms/duration-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm, type OperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { durationProblem } from '../../../forms/typed-words';

interface Props {
  readonly work: WorkOrder;
  readonly steps: readonly Step[];
  /** The share that is changed; null where one is made. */
  readonly share: Share | null;
  readonly onClose: () => void;
}

interface Typed {
  personId: PersonId;
  /** Null for the trade of the person. */
  tradeId: string | null;
  assetId: AssetId;
  planned: string;
  stepIds: StepId[];
}

/** What is pressed instead of typed, in minutes. */
const USUAL_MINUTES = [30, 60, 90, 120, 240];

/** Makes a share, or changes one: whose, which steps, with what trade, on which machine, for how long. */
export function ShareForm({ work, steps, share, onClose }: Props): ReactElement {
  const me = useMe();
  const person = usePhone((state) => state.person);
  const settings = useSettings(work.siteId);
  const people = usePeopleOf(work.siteId, { roles: workers });
  const isLead = person !== null && hasRole(person, ['lead']);
  const start: Typed = {
    personId: share?.personId ?? me,
    tradeId: share?.tradeId ?? null,
    assetId: share?.assetId ?? work.assetId,
    planned: share === null || share.plannedMinutes === 0 ? '' : formatDuration(share.plannedMinutes),
    stepIds: [...(share?.stepIds ?? [])],
  };
  const { form, submit, refusal } = useShareForm(work, share, start, onClose);
  const [personId, tradeId, assetId, planned, stepIds] = form.watch([
    'personId',
    'tradeId',
    'assetId',
    'planned',
    'stepIds',
  ]);
  const machines = useMachinesOf(work);
  const trade = tradeId ?? peekRow('people', personId)?.tradeId;
  const minutes = planned === '' ? 0 : parseDuration(planned);
  const choose = (ids: readonly StepId[], isIn: boolean): void => {
    const left = stepIds.filter((id) => !ids.includes(id));
    form.setValue('stepIds', isIn ? [...left, ...ids] : left);
  };
  const { errors } = form.formState;
  return (
    <BottomSheet
      title={share === null ? 'Give steps to somebody' : 'Change this share'}
      aside={work.number}
      onClose={onClose}
      foot={<Button rank="primary" word={share === null ? 'Make this share' : 'Keep it so'} onPress={submit} />}
    >
      {share === null && isLead ? (
        <PeopleChoice
          label="Whose"
          isOne
          {...people}
          chosen={[personId]}
          onPress={(id) => form.setValue('personId', id)}
        />
      ) : null}
      <View style={sheet.part}>
        <AppText as="label">Which steps</AppText>
        <StepChoice work={work} steps={steps} shareId={share?.id ?? null} chosen={stepIds} onChoose={choose} />
        <FormRefusal sentence={errors.stepIds?.message ?? null} />
      </View>
      <View style={sheet.part}>
        <AppText as="label">Planned time</AppText>
        <Choices label="Usual times">
          {USUAL_MINUTES.map((each) => (
            <Choice
              key={each}
              word={formatDuration(each)}
              isChosen={minutes === each}
              onPress={() => form.setValue('planned', formatDuration(each))}
            />
          ))}
        </Choices>
        <DurationField control={form.control} name="planned" label="How long" hint="such as 1:30" onEnter={submit} />
      </View>
      {settings === undefined ? null : (
        <View style={sheet.part}>
          <AppText as="label">Trade</AppText>
          <Choices label="Trade">
            {tradesOfWork(settings).map(({ id, name }) => (
              <Choice key={id} word={name} isChosen={id === trade} onPress={() => form.setValue('tradeId', id)} />
            ))}
          </Choices>
        </View>
      )}
      {machines.length < 2 ? null : (
        <View style={sheet.part}>
          <AppText as="label">Machine</AppText>
          <Choices label="Machine">
            {machines.map(({ id, name }) => (
              <Choice key={id} word={name} isChosen={id === assetId} onPress={() => form.setValue('assetId', id)} />
            ))}
          </Choices>
        </View>
      )}
      <FormRefusal
        sentence={errors.personId?.message ?? errors.tradeId?.message ?? errors.assetId?.message ?? refusal}
      />
    </BottomSheet>
  );
}

function useShareForm(work: WorkOrder, share: Share | null, start: Typed, onDone: () => void): OperationForm<Typed> {
  const about = ({ tradeId, assetId, planned, stepIds }: Typed) => {
    const plannedMinutes = planned.trim() === '' ? 0 : parseDuration(planned);
    return plannedMinutes === undefined || plannedMinutes === null
      ? null
      : { tradeId, assetId, plannedMinutes, stepIds };
  };
  const fieldOf = (argument: string): keyof Typed =>
    argument === 'plannedMinutes' ? 'planned' : (argument as keyof Typed);
  return useOperationForm<'share.make' | 'share.change', Typed>({
    operation: share === null ? 'share.make' : 'share.change',
    about: share?.id ?? work.id,
    defaultValues: start,
    fieldOf,
    read: (typed) => {
      const read = about(typed);
      if (read === null) return { unreadable: 'planned', hint: durationProblem(typed.planned) };
      const onWork = { workOrderId: work.id, ...read };
      return { args: share === null ? { ...onWork, personId: typed.personId } : { ...onWork, shareId: share.id } };
    },
    said: share === null ? 'The share is made.' : 'The share is changed.',
    onDone,
  });
}

interface StepChoiceProps {
  readonly work: WorkOrder;
  readonly steps: readonly Step[];
  readonly shareId: Share['id'] | null;
  readonly chosen: readonly StepId[];
  readonly onChoose: (ids: readonly StepId[], isIn: boolean) => void;
}

/** The steps that are in no other share, those of a round stop by stop. What is part of a step comes with it. */
function StepChoice({ work, steps, shareId, chosen, onChoose }: StepChoiceProps): ReactElement {
  const stops = inWalkingOrder(useRows('stops', 'workOrder', work.id));
  const shares = useRows('shares', 'workOrder', work.id);
  const taken = new Set(shares.flatMap(({ id, stepIds }) => (id === shareId ? [] : stepIds)));
  const free = placed(steps).filter(({ step, depth }) => depth === 0 && !taken.has(step.id));
  const at = (stopId: StopId | null) => free.filter(({ step }) => step.stopId === stopId);
  const ofTheWhole = at(null);
  if (free.length === 0) return <AppText soft>Every step is in a share already.</AppText>;
  return (
    <View role="group" aria-label="Which steps" style={sheet.part}>
      {stops.map((stop, index) => {
        const ids = at(stop.id).map(({ step }) => step.id);
        if (ids.length === 0) return null;
        const isIn = ids.every((id) => chosen.includes(id));
        return (
          <Choice
            key={stop.id}
            isMany
            word={`Stop ${index + 1}: ${peekRow('assets', stop.assetId)?.name ?? 'a machine'}`}
            isChosen={isIn}
            onPress={() => onChoose(ids, !isIn)}
          />
        );
      })}
      {ofTheWhole.map(({ step, number }) => {
        const isIn = chosen.includes(step.id);
        return (
          <Choice
            key={step.id}
            isMany
            word={`${number}  ${step.text}`}
            isChosen={isIn}
            onPress={() => onChoose([step.id], !isIn)}
          />
        );
      })}
    </View>
  );
}

const sheet = StyleSheet.create({ part: { gap: 8 } });
