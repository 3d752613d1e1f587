import { mdiClose, mdiFormatListChecks, mdiPlus } from '@mdi/js';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AssetId, PointId } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import { stepsAfter, stepsChosen } from '@oilcan/core/steps/procedures';
import type { NewStep, StepKindName, StepQuestion } from '@oilcan/core/steps/steps';
import { useRows } from '../../../data/store/store';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Field } from '../../../ui/fields/field';
import { List } from '../../../ui/layout/list';
import { Button, IconPress } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { chosenSteps, StepsOfProcedures, type ChosenOf } from './steps-of-procedures';

/** What each kind of step is called where one is added, the likeliest first; null for one that only a procedure brings. */
const wordsOfKinds: Readonly<Record<StepKindName, string | null>> = {
  tick: 'To be done',
  finding: 'Good or faulty',
  number: 'Number',
  meter: 'Meter',
  choice: 'Choice',
  text: 'To be written',
  photo: 'Photo',
  signature: 'Signature',
};
export type AskedFor = StepKindName;
/** What a step may ask for that is added on the job. */
const askedFor = Object.entries(wordsOfKinds).flatMap(([kind, words]): (readonly [AskedFor, string])[] =>
  words === null ? [] : [[kind as AskedFor, words]],
);

/** What somebody typed of a step that asks for something. */
export interface TypedStep {
  readonly text: string;
  readonly asks: AskedFor;
  /** What a number is in; the words to choose from, with commas between them; who signs. */
  readonly detail: string;
  readonly pointId: PointId | null;
}

export const noStep: TypedStep = { text: '', asks: 'tick', detail: '', pointId: null };

const MOST_DECIMALS_SHOWN = 2;

/** The step that was typed; a sentence where something is missing. */
export function stepFrom({ text, asks, detail, pointId }: TypedStep): NewStep | string {
  if (text.trim() === '') return 'Write what is to be done.';
  const question = questionFrom(asks, detail.trim(), pointId);
  return typeof question === 'string' ? question : { text: text.trim(), question, under: null, when: null };
}

function questionFrom(asks: AskedFor, detail: string, pointId: PointId | null): StepQuestion | string {
  switch (asks) {
    case 'number': {
      if (detail === '') return 'Write the unit, such as mm.';
      const limits = { alarmLow: null, alertLow: null, alertHigh: null, alarmHigh: null };
      return { type: 'number', unit: detail, decimals: MOST_DECIMALS_SHOWN, limits, pointId };
    }
    case 'meter':
      return pointId === null ? 'Choose the meter.' : { type: 'meter', pointId };
    case 'choice': {
      const words = [...new Set(detail.split(',').map((word) => word.trim()))].filter((word) => word !== '');
      if (words.length < 2) return 'Write at least two words to choose from, with a comma between them.';
      const options = words.map((each, index) => ({ key: `o${index + 1}`, words: each, isFaulty: false }));
      return { type: 'choice', options, isSeveral: false };
    }
    case 'signature':
      return detail === '' ? 'Write who is to sign.' : { type: 'signature', who: detail };
    default:
      return { type: asks };
  }
}

const detailLabels: Readonly<Partial<Record<AskedFor, string>>> = {
  number: 'Unit',
  choice: 'To choose from, with commas between',
  signature: 'Who signs',
};

interface TypeStepProps {
  readonly assetId: AssetId | undefined;
  readonly typed: TypedStep;
  readonly onChange: (typed: TypedStep) => void;
  readonly error: string | null;
}

/** Fields for one step of any kind: what is to be done, and what it asks for. */
export function TypeStep({ assetId, typed, onChange, error }: TypeStepProps): ReactElement {
  const points = useRows('points', 'asset', assetId);
  const change = (some: Partial<TypedStep>): void => onChange({ ...typed, ...some });
  const label = detailLabels[typed.asks];
  const meters = points.filter(({ isMeter }) => isMeter);
  const offered = askedFor.filter(([asks]) => asks !== 'meter' || meters.length > 0);
  return (
    <>
      <Field label="A step" value={typed.text} onChange={(text) => change({ text })} error={error} />
      <Choices label="What it asks for">
        {offered.map(([asks, word]) => (
          <Choice
            key={asks}
            word={word}
            isChosen={asks === typed.asks}
            onPress={() => change({ asks, detail: '', pointId: asks === 'meter' ? (meters[0]?.id ?? null) : null })}
          />
        ))}
      </Choices>
      {label === undefined ? null : (
        <Field label={label} value={typed.detail} onChange={(detail) => change({ detail })} />
      )}
      {typed.asks === 'meter' && meters.length > 1 ? (
        <Choices label="Which meter">
          {meters.map(({ id, name }) => (
            <Choice key={id} word={name} isChosen={id === typed.pointId} onPress={() => change({ pointId: id })} />
          ))}
        </Choices>
      ) : null}
      {typed.asks === 'number' && points.some(({ isMeter }) => !isMeter) ? (
        <Choices label="Measured where">
          <Choice word="On this job only" isChosen={typed.pointId === null} onPress={() => change({ pointId: null })} />
          {points
            .filter(({ isMeter }) => !isMeter)
            .map(({ id, name, unit }) => (
              <Choice
                key={id}
                word={name}
                isChosen={id === typed.pointId}
                onPress={() => change({ pointId: id, detail: unit })}
              />
            ))}
        </Choices>
      ) : null}
    </>
  );
}

interface Props {
  readonly asset: Asset;
  /** What is to be done. */
  readonly words: string;
  readonly steps: readonly NewStep[];
  readonly onChange: (steps: readonly NewStep[]) => void;
}

/** The steps of work that is being planned: of every kind, in their order, each of which can be left out again. */
export function NewStepsField({ asset, words, steps, onChange }: Props): ReactElement {
  const [chosen, setChosen] = useState<ChosenOf | null>(null);
  const [typed, setTyped] = useState<TypedStep | null>(null);
  const [error, setError] = useState<string | null>(null);
  const add = (): void => {
    const step = stepFrom(typed ?? noStep);
    setError(typeof step === 'string' ? step : null);
    if (typeof step === 'string') return;
    onChange([...steps, step]);
    setTyped({ ...noStep, asks: typed?.asks ?? 'tick' });
  };
  return (
    <View role="group" aria-label="Steps" style={sheet.group}>
      <AppText as="label">Steps</AppText>
      <List label="Steps">
        {steps.map(({ text, question }, index) => (
          <View key={`${index} ${text}`} style={sheet.step}>
            <AppText style={sheet.text}>
              {index + 1}. {text} <AppText soft>{wordOf(question)}</AppText>
            </AppText>
            <IconPress
              icon={mdiClose}
              label={`Leave out step ${index + 1}: ${text}`}
              onPress={() => onChange(stepsChosen(steps, allBut(steps, index)))}
            />
          </View>
        ))}
      </List>
      <Button
        rank="quiet"
        icon={mdiFormatListChecks}
        word="Take steps out of procedures"
        onPress={() => setChosen(new Map())}
      />
      {chosen === null ? null : (
        <TakeSteps
          asset={asset}
          words={words}
          chosen={chosen}
          onChange={setChosen}
          onTake={(taken) => {
            onChange([...steps, ...stepsAfter(taken, steps.length)]);
            setChosen(null);
          }}
          onClose={() => setChosen(null)}
        />
      )}
      {typed === null ? (
        <Button rank="quiet" icon={mdiPlus} word="Write a step" onPress={() => setTyped(noStep)} />
      ) : (
        <>
          <TypeStep assetId={asset.id} typed={typed} onChange={setTyped} error={error} />
          <Button word="Add this step" onPress={add} style={sheet.add} />
        </>
      )}
    </View>
  );
}

const allBut = (steps: readonly NewStep[], left: number): number[] =>
  steps.flatMap((_, at) => (at === left ? [] : [at]));

interface TakeStepsProps {
  readonly asset: Asset;
  readonly words: string;
  readonly chosen: ChosenOf;
  readonly onChange: (chosen: ChosenOf) => void;
  readonly onTake: (steps: readonly NewStep[]) => void;
  readonly onClose: () => void;
}

/** Steps of procedures, chosen in a sheet of its own. */
function TakeSteps({ asset, words, chosen, onChange, onTake, onClose }: TakeStepsProps): ReactElement {
  const taken = chosenSteps(chosen).reduce<readonly NewStep[]>(
    (before, { steps }) => [...before, ...stepsAfter(steps, before.length)],
    [],
  );
  return (
    <BottomSheet
      title="Steps out of procedures"
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={taken.length === 0 ? 'Take steps' : `Take ${counted(taken.length, 'step', 'steps')}`}
          cannot={taken.length === 0 && 'Choose a procedure first.'}
          onPress={() => onTake(taken)}
        />
      }
    >
      <StepsOfProcedures
        words={`${words} ${asset.name}`}
        asset={asset}
        siteId={asset.siteId}
        chosen={chosen}
        onChange={onChange}
      />
    </BottomSheet>
  );
}

function wordOf(question: StepQuestion): string {
  const word = wordsOfKinds[question.type] ?? '';
  return question.type === 'number' ? `${word}, ${question.unit}` : word;
}

const sheet = StyleSheet.create({
  group: { gap: 6, alignItems: 'flex-start' },
  step: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  text: { flexShrink: 1, minWidth: 0 },
  add: { alignSelf: 'flex-start' },
});
