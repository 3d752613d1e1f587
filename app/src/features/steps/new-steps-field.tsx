import { mdiClose, mdiPlus } from '@mdi/js';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AssetId, PointId } from '@oilcan/core/kernel';
import type { NewStep, StepQuestion } from '@oilcan/core/steps';
import { useRows } from '../../data/store';
import { Choice, Choices } from '../../ui/choice';
import { Field } from '../../ui/field';
import { List } from '../../ui/list';
import { Button, IconPress } from '../../ui/press';
import { Words } from '../../ui/words';

/** What a step may ask for, the likeliest first. */
export const askedFor = [
  ['tick', 'To be done'],
  ['finding', 'Good or faulty'],
  ['number', 'Number'],
  ['meter', 'Meter'],
  ['choice', 'Choice'],
  ['text', 'To be written'],
  ['photo', 'Photo'],
  ['signature', 'Signature'],
] as const;
export type AskedFor = (typeof askedFor)[number][0];

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
  readonly assetId: AssetId;
  readonly steps: readonly NewStep[];
  readonly onChange: (steps: readonly NewStep[]) => void;
}

/** The steps of work that is being planned: of every kind, in their order, each of which can be left out again. */
export function NewStepsField({ assetId, steps, onChange }: Props): ReactElement {
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
      <Words as="label">Steps</Words>
      <List label="Steps">
        {steps.map(({ text, question }, index) => (
          <View key={`${index} ${text}`} style={sheet.step}>
            <Words style={sheet.text}>
              {index + 1}. {text} <Words soft>{wordOf(question)}</Words>
            </Words>
            <IconPress
              icon={mdiClose}
              label={`Leave out step ${index + 1}: ${text}`}
              onPress={() => onChange(steps.filter((_, at) => at !== index))}
            />
          </View>
        ))}
      </List>
      {typed === null ? (
        <Button rank="quiet" icon={mdiPlus} word="Write a step" onPress={() => setTyped(noStep)} />
      ) : (
        <>
          <TypeStep assetId={assetId} typed={typed} onChange={setTyped} error={error} />
          <Button word="Add this step" onPress={add} style={sheet.add} />
        </>
      )}
    </View>
  );
}

function wordOf(question: StepQuestion): string {
  const word = askedFor.find(([asks]) => asks === question.type)?.[1] ?? '';
  return question.type === 'number' ? `${word}, ${question.unit}` : word;
}

const sheet = StyleSheet.create({
  group: { gap: 6, alignItems: 'flex-start' },
  step: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  text: { flexShrink: 1, minWidth: 0 },
  add: { alignSelf: 'flex-start' },
});
