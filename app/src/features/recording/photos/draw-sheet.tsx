import { useState, type PointerEvent, type ReactElement } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import Svg, { G, Path, Text } from 'react-native-svg';
import { sentenceFor } from '@oilcan/core/registry';
import type { EntryOf, WorkOrder } from '@oilcan/core/orders/work';
import { shrinkPicture } from '../../../data/browser/shrink-picture';
import { usePicture } from '../../../data/pictures/use-picture';
import { keepPicture } from '../../../data/store/store';
import { useOperation } from '../../../data/store/use-operation';
import { FormRefusal } from '../../../forms/form-refusal';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Field } from '../../../ui/fields/field';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { textStyles } from '../../../ui/theme/type';
import { AppText } from '../../../ui/theme/app-text';
import { shapeOf, type Mark, type Point, type Shape } from './marks';
import { MARK_COLOR, MARK_EDGE, withMarks } from './render-marks';

type Tool = Mark['is'];

const tools: readonly (readonly [Tool, string])[] = [
  ['arrow', 'Arrow'],
  ['circle', 'Circle'],
  ['stroke', 'By hand'],
  ['words', 'Words'],
];

interface Props {
  readonly work: WorkOrder;
  readonly entry: EntryOf<'photo'>;
  readonly onDone: () => void;
  readonly onClose: () => void;
}

/** Marks drawn on a photo. The photo as it was taken is kept beside it. */
export function DrawSheet({ work, entry, onDone, onClose }: Props): ReactElement {
  const { fileId, mediaType, width, height } = entry.content;
  const address = usePicture(fileId, mediaType);
  const [tool, setTool] = useState<Tool>('arrow');
  const [text, setText] = useState('');
  const [marks, setMarks] = useState<readonly Mark[]>([]);
  const [drawn, setDrawn] = useState<Mark | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { run, refusal, errorAt } = useOperation();
  const shorter = Math.min(width, height);
  const shapes = [...marks, ...(drawn === null ? [] : [drawn])].map((mark) => shapeOf(mark, shorter));

  const begin = (at: Point): void => {
    if (tool === 'words') {
      if (text.trim() !== '') setMarks([...marks, { is: 'words', at, text: text.trim() }]);
      return;
    }
    setDrawn(tool === 'stroke' ? { is: 'stroke', points: [at] } : { is: tool, from: at, to: at });
  };
  const goOn = (at: Point): void => {
    if (drawn === null || drawn.is === 'words') return;
    setDrawn(drawn.is === 'stroke' ? { ...drawn, points: [...drawn.points, at] } : { ...drawn, to: at });
  };
  const end = (): void => {
    if (drawn !== null && hasExtent(drawn)) setMarks([...marks, drawn]);
    setDrawn(null);
  };
  const keep = async (): Promise<void> => {
    const font = String(textStyles.heading.fontFamily ?? 'sans-serif');
    const drawnOn = await withMarks(
      address,
      marks.map((mark) => shapeOf(mark, shorter)),
      font,
    );
    const picture = drawnOn === null ? null : await shrinkPicture(drawnOn);
    if (picture === null) return setProblem('The marks could not be drawn into the photo. Try again.');
    const notKept = await keepPicture(picture);
    if (notKept !== null) return setProblem(sentenceFor(notKept.code, notKept.values));
    const args = {
      workOrderId: work.id,
      entryId: entry.id,
      fileId: picture.id,
      mediaType: picture.mediaType,
      width: picture.width,
      height: picture.height,
    } as const;
    if (await run('photo.draw', args, 'Kept. The photo as it was taken stays beside it.')) onDone();
  };
  return (
    <BottomSheet
      title="Draw on it"
      onClose={onClose}
      foot={
        <>
          {marks.length === 0 ? null : (
            <Button word="Take the last mark back" onPress={() => setMarks(marks.slice(0, -1))} />
          )}
          <Button
            rank="primary"
            word="Keep the marks"
            cannot={marks.length === 0 && 'Draw something first.'}
            onPress={() => void keep()}
          />
        </>
      }
    >
      <Choices label="What to draw">
        {tools.map(([each, word]) => (
          <Choice key={each} word={word} isChosen={tool === each} onPress={() => setTool(each)} />
        ))}
      </Choices>
      {tool === 'words' ? <Field label="Words, then press where they belong" value={text} onChange={setText} /> : null}
      {address === 'looking' || address === 'not-here' ? (
        <AppText>This photo is with the server. It can be drawn on when there is signal.</AppText>
      ) : (
        <Canvas
          address={address}
          width={width}
          height={height}
          shapes={shapes}
          onDown={begin}
          onMove={goOn}
          onUp={end}
        />
      )}
      <FormRefusal sentence={problem ?? errorAt(refusal?.field ?? '')} />
    </BottomSheet>
  );
}

/** A press alone is no arrow. */
function hasExtent(mark: Mark): boolean {
  if (mark.is === 'stroke') return mark.points.length > 1;
  return mark.is === 'words' || Math.hypot(mark.to.x - mark.from.x, mark.to.y - mark.from.y) > 8;
}

interface CanvasProps {
  readonly address: string;
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
  readonly onDown: (at: Point) => void;
  readonly onMove: (at: Point) => void;
  readonly onUp: () => void;
}

function Canvas({ address, width, height, shapes, onDown, onMove, onUp }: CanvasProps): ReactElement {
  /** From where the finger is to pixels of the photo. */
  const at = (event: PointerEvent<HTMLDivElement>): Point => {
    const frame = event.currentTarget.getBoundingClientRect();
    return {
      x: ((event.clientX - frame.left) / frame.width) * width,
      y: ((event.clientY - frame.top) / frame.height) * height,
    };
  };
  return (
    <View style={[sheet.canvas, { aspectRatio: width / height }]}>
      <Image
        source={{ uri: address }}
        style={StyleSheet.absoluteFill}
        resizeMode="stretch"
        accessibilityLabel="The photo"
      />
      <Svg width="100%" height="100%" viewBox={`0 0 ${width} ${height}`}>
        {shapes.map((shape, index) => (
          <ShapeOf key={index} shape={shape} />
        ))}
      </Svg>
      <div
        role="img"
        aria-label="Drawing on the photo"
        style={{ position: 'absolute', inset: 0, touchAction: 'none', cursor: 'crosshair' }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          onDown(at(event));
        }}
        onPointerMove={(event) => onMove(at(event))}
        onPointerUp={onUp}
        onPointerCancel={onUp}
      />
    </View>
  );
}

function ShapeOf({ shape }: { readonly shape: Shape }): ReactElement {
  switch (shape.is) {
    case 'line':
      return (
        <G fill="none" strokeLinecap="round" strokeLinejoin="round">
          <Path d={shape.path} stroke={MARK_EDGE} strokeWidth={shape.width * 1.8} />
          <Path d={shape.path} stroke={MARK_COLOR} strokeWidth={shape.width} />
        </G>
      );
    case 'area':
      return <Path d={shape.path} fill={MARK_COLOR} stroke={MARK_EDGE} strokeWidth={4} />;
    case 'words':
      return (
        <G fontSize={shape.size} fontWeight="600" fontFamily={String(textStyles.heading.fontFamily ?? 'sans-serif')}>
          <Text x={shape.at.x} y={shape.at.y} stroke={MARK_EDGE} strokeWidth={shape.size / 5} fill={MARK_EDGE}>
            {shape.text}
          </Text>
          <Text x={shape.at.x} y={shape.at.y} fill={MARK_COLOR}>
            {shape.text}
          </Text>
        </G>
      );
  }
}

const sheet = StyleSheet.create({ canvas: { width: '100%', maxHeight: 520, alignSelf: 'center' } });
