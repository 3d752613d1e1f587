import { useState, type ReactElement } from 'react';
import type { MeasuringPoint } from '@oilcan/core/plant';
import { levelOf } from '@oilcan/core/readings';
import type { WorkOrder } from '@oilcan/core/work';
import { useOperation } from '../../data/use-operation';
import { useRow, useRows, useTable } from '../../data/store';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Keypad } from '../../ui/keypad';
import { Button, Choice, Choices } from '../../ui/press';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { readNumber } from '../../words/read-number';
import { TypedReading } from './typed-reading';

/** A value at one of the machine's measuring points, with its limits and last values in sight. */
export function ReadingSheet({
  work,
  onClose,
}: {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}): ReactElement {
  const points = usePointsNear(work);
  const [chosen, setChosen] = useState<string | null>(null);
  const point = points.find((each) => each.id === chosen) ?? points[0];
  if (point === undefined) {
    return (
      <BottomSheet title="Reading" onClose={onClose}>
        <Words>This machine has no measuring point yet. Write the value down as a note; it is not lost.</Words>
      </BottomSheet>
    );
  }
  return (
    <PointReading key={point.id} work={work} point={point} points={points} onChoose={setChosen} onClose={onClose} />
  );
}

/** The points of the asset itself, else of what it is made of, else of what it is part of. */
function usePointsNear(work: WorkOrder): readonly MeasuringPoint[] {
  const asset = useRow('assets', work.assetId);
  const own = useRows('points', 'asset', work.assetId);
  const ofWhole = useRows('points', 'asset', asset?.parentId ?? undefined);
  const all = useTable('points');
  const pieces = useRows('assets', 'parent', work.assetId);
  if (own.length > 0) return own;
  const pieceIds = new Set(pieces.map((piece) => piece.id));
  const ofPieces = all.filter((point) => pieceIds.has(point.assetId));
  return ofPieces.length > 0 ? ofPieces : ofWhole;
}

interface Props {
  readonly work: WorkOrder;
  readonly point: MeasuringPoint;
  readonly points: readonly MeasuringPoint[];
  readonly onChoose: (id: string) => void;
  readonly onClose: () => void;
}

function PointReading({ work, point, points, onChoose, onClose }: Props): ReactElement {
  const palette = usePalette();
  const asset = useRow('assets', point.assetId);
  const { run, errorAt } = useOperation();
  const [text, setText] = useState('');
  const value = readNumber(text);
  const level = value === null ? 'normal' : levelOf(value, point.limits);
  const keep = async (): Promise<void> => {
    if (value === null) return;
    const kept = `${point.name} ${text} ${point.unit} kept.`;
    if (await run('reading.add', { workOrderId: work.id, pointId: point.id, value }, kept)) onClose();
  };
  return (
    <BottomSheet
      title={point.name}
      aside={asset?.name ?? ''}
      onClose={onClose}
      foot={
        <Button
          main
          word={value === null ? 'Type the value' : `Keep ${text} ${point.unit}`}
          disabled={value === null}
          onPress={() => void keep()}
        />
      }
    >
      {points.length < 2 ? null : (
        <Choices label="Measuring point">
          {points.map((each) => (
            <Choice key={each.id} word={each.name} isChosen={each.id === point.id} onPress={() => onChoose(each.id)} />
          ))}
        </Choices>
      )}
      <TypedReading text={text} unit={point.unit} level={level} point={point}>
        {errorAt('value') === null ? null : (
          <Words color={palette.faulty} live>
            {errorAt('value')}
          </Words>
        )}
      </TypedReading>
      <Keypad text={text} onChange={setText} hasSign={point.scale.from < 0} />
    </BottomSheet>
  );
}
