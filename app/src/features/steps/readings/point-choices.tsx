import type { ReactElement } from 'react';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import { Choice, Choices } from '../../../ui/fields/choice';

interface Props {
  readonly point: MeasuringPoint;
  readonly points: readonly MeasuringPoint[];
  readonly onChoose: (id: string) => void;
}

/** The measuring points of a machine, of which one is read. */
export function PointChoices({ point, points, onChoose }: Props): ReactElement | null {
  if (points.length < 2) return null;
  return (
    <Choices label="Measuring point">
      {points.map((each) => (
        <Choice key={each.id} word={each.name} isChosen={each.id === point.id} onPress={() => onChoose(each.id)} />
      ))}
    </Choices>
  );
}
