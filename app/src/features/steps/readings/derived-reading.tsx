import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import { derivedKindNamed, figureOf, levelOfFigure, type RawValue } from '@oilcan/core/steps/readings';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { ReadingScale } from '../../../ui/drawn/reading-scale';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { readNumber } from '../../../words/read-number';
import { levelWords } from '../../../words/work-words';
import { noteReading } from './alarm-proposal';
import { rawWords, zoneWords } from './derived-words';
import { PointChoices } from './point-choices';

interface Props {
  readonly work: WorkOrder;
  readonly point: MeasuringPoint;
  readonly derivation: NonNullable<MeasuringPoint['derived']>;
  readonly points: readonly MeasuringPoint[];
  readonly onChoose: (id: string) => void;
  readonly onClose: () => void;
}

/** Values that are read off, and the figure that they make, with what its standard says of it. */
export function DerivedReading({ work, point, derivation, points, onChoose, onClose }: Props): ReactElement {
  const asset = useRow('assets', point.assetId);
  const kind = derivedKindNamed(derivation.kind);
  const fields = kind?.raw ?? [];
  const rawOf = (typed: Readonly<Record<string, string>>): RawValue[] =>
    fields.flatMap(({ key }) => {
      const value = readNumber(typed[key] ?? '');
      return value === null ? [] : [{ key, value }];
    });
  const { form, submit, refusal } = useOperationForm<'reading.derive', Record<string, string>>({
    operation: 'reading.derive',
    about: point.id,
    defaultValues: Object.fromEntries(fields.map(({ key }) => [key, ''])),
    read: (typed) => {
      const unreadable = fields.find(({ key }) => readNumber(typed[key] ?? '') === null);
      if (unreadable !== undefined) return { unreadable: unreadable.key, hint: 'Write a number, such as 61.5.' };
      return { args: { workOrderId: work.id, pointId: point.id, raw: rawOf(typed) } };
    },
    said: `${point.name} kept.`,
    onDone: () => {
      onClose();
      const kept = figureOf(derivation, rawOf(form.getValues()));
      if (kept !== null) noteReading(work.id, point.id, kept.value);
    },
  });
  const figure = figureOf(derivation, rawOf(form.watch()));
  return (
    <BottomSheet
      title={point.name}
      aside={asset?.name ?? ''}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word="Keep"
          cannot={figure === null && 'Type all of the values first.'}
          onPress={submit}
        />
      }
    >
      <PointChoices point={point} points={points} onChoose={onChoose} />
      {fields.map(({ key, unit }, index) => (
        <FormField
          key={key}
          control={form.control}
          name={key}
          label={`${rawWords[key] ?? key}${unitWord(unit, derivation)}`}
          autoFocus={index === 0}
          onEnter={submit}
        />
      ))}
      <View style={sheet.figure}>
        <ReadingScale point={point} value={figure?.value ?? null} height={120} />
        <View style={sheet.words}>
          <AppText as="title" live>
            {figure === null ? '–' : (figure.said ?? figure.value.toFixed(kind?.decimals ?? 0))} {kind?.unit}
          </AppText>
          {figure === null ? null : <Meaning level={levelOfFigure(figure, point.limits)} said={figure.said} />}
          <AppText as="small" soft>
            {kind?.source}
          </AppText>
        </View>
      </View>
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

function unitWord(unit: string, derivation: Props['derivation']): string {
  const said = derivation.kind === 'unbalance' ? derivation.unit : unit;
  return said === '' ? '' : `, ${said}`;
}

function Meaning({
  level,
  said,
}: {
  readonly level: keyof typeof levelWords;
  readonly said: string | null;
}): ReactElement {
  const palette = usePalette();
  const zone = said === null ? undefined : zoneWords[said];
  return (
    <>
      {zone === undefined ? null : <AppText>{zone}</AppText>}
      <AppText as="label" color={level === 'normal' ? palette.ink : palette.faulty}>
        {levelWords[level]}
      </AppText>
    </>
  );
}

const sheet = StyleSheet.create({
  figure: { flexDirection: 'row', gap: 12 },
  words: { flex: 1, minWidth: 0, gap: 2 },
});
