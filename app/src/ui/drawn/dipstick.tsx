import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Press } from '../press/press';
import { keepsItsColors, RULE } from '../theme/theme';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

export interface Notch<Part extends string = string> {
  readonly part: Part;
  readonly word: string;
  /** Where it lies on the scale, 0 at the top to 1 at the foot. */
  readonly from: number;
  readonly to: number;
}

interface Props<Part extends string> {
  readonly notches: readonly Notch<Part>[];
  /** 0 dry to 1 full. */
  readonly level: number;
  readonly current: Part;
  /** Where something ends within a part, such as the stops of a round: 0 at the top to 1 at the foot. */
  readonly marks?: readonly number[];
  readonly onGoTo: (part: Part) => void;
}

const WIDTH = 34;
const TICKS = 24;

/**
 * The product's mark: an upright scale at the left edge of the sheet that fills downward as the work gets done, with
 * a notch for each part to go to. Words are drawn twice, so that they stay readable where the level passes them.
 */
export function Dipstick<Part extends string>({
  notches,
  level,
  current,
  marks = [],
  onGoTo,
}: Props<Part>): ReactElement {
  const palette = usePalette();
  const [height, setHeight] = useState(0);
  const filled = Math.round(height * Math.min(1, Math.max(0, level)));
  return (
    <View
      role="navigation"
      aria-label="Parts of this work order"
      style={[sheet.stick, keepsItsColors, { backgroundColor: palette.scale, borderColor: palette.line }]}
      onLayout={(event) => setHeight(event.nativeEvent.layout.height)}
    >
      <Face notches={notches} marks={marks} height={height} current={current} ink={palette.ink} />
      <View style={[sheet.fill, { height: filled, backgroundColor: palette.green }]}>
        <Face notches={notches} marks={marks} height={height} current={current} ink={palette.onGreen} />
      </View>
      {notches.map(({ part, word, from, to }) => (
        <Press
          key={part}
          onPress={() => onGoTo(part)}
          label={`Go to ${word}`}
          isHere={part === current}
          style={[sheet.notch, { top: height * from, height: height * (to - from) }]}
        >
          {null}
        </Press>
      ))}
    </View>
  );
}

interface FaceProps {
  readonly notches: readonly Notch[];
  readonly marks: readonly number[];
  readonly height: number;
  readonly current: string;
  readonly ink: string;
}

function Face({ notches, marks, height, current, ink }: FaceProps): ReactElement {
  return (
    <View style={[sheet.face, { height }]} aria-hidden>
      {Array.from({ length: marks.length > 0 ? 0 : TICKS - 1 }, (_, index) => (
        <View key={index} style={[sheet.tick, { backgroundColor: ink, top: ((index + 1) * height) / TICKS }]} />
      ))}
      {marks.map((at) => (
        <View key={at} style={[sheet.mark, { backgroundColor: ink, top: at * height - 1 }]} />
      ))}
      {notches.slice(1).map(({ part, from }) => (
        <View key={part} style={[sheet.cut, { backgroundColor: ink, top: from * height - 1 }]} />
      ))}
      {notches.map(({ part, word, from, to }) => (
        <View key={part} style={[sheet.word, { top: from * height, height: (to - from) * height }]}>
          <AppText as="label" color={ink} style={[sheet.turned, part === current && sheet.current]}>
            {word}
          </AppText>
        </View>
      ))}
    </View>
  );
}

/** The same scale, small, at the edge of a row: one segment a step, up to what fits. */
export function RowDipstick({ done, of }: { readonly done: number; readonly of: number }): ReactElement {
  const palette = usePalette();
  const segments = Math.min(Math.max(of, 1), 12);
  const filled = of === 0 ? 0 : Math.floor((done / of) * segments);
  return (
    <View style={[sheet.rowStick, keepsItsColors]} aria-hidden>
      {Array.from({ length: segments }, (_, index) => (
        <View
          key={index}
          style={[sheet.segment, { backgroundColor: index < filled ? palette.green : palette.scale }]}
        />
      ))}
    </View>
  );
}

const sheet = StyleSheet.create({
  stick: { width: WIDTH, borderRightWidth: RULE, overflow: 'hidden' },
  fill: { position: 'absolute', top: 0, left: 0, right: 0, overflow: 'hidden' },
  face: { position: 'absolute', top: 0, left: 0, width: WIDTH - RULE },
  tick: { position: 'absolute', right: 0, width: 7, height: 1, opacity: 0.55 },
  mark: { position: 'absolute', right: 0, width: 10, height: 2 },
  cut: { position: 'absolute', right: 0, left: 4, height: 3 },
  word: {
    position: 'absolute',
    left: 0,
    width: WIDTH - 8,
    alignItems: 'center',
    justifyContent: 'center',
    overflow: 'visible',
  },
  turned: { transform: [{ rotate: '-90deg' }], width: 100, flexShrink: 0, textAlign: 'center' },
  current: { textDecorationLine: 'underline' },
  notch: { position: 'absolute', left: 0, right: 0 },
  rowStick: { width: 12, gap: 2, alignSelf: 'stretch' },
  segment: { flex: 1 },
});
