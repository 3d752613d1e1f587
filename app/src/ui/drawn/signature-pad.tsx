import { useEffect, useRef, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import Pad from 'signature_pad';
import { CORNER, RULE } from '../theme/theme';
import { usePalette } from '../theme/use-palette';
import { FIELD } from './drawn';
import { AppText } from '../theme/app-text';

interface Props {
  /** What was drawn, as the data of an SVG path; empty for nothing yet. */
  readonly path: string;
  readonly onDraw: (path: string) => void;
}

/** A field to sign in with a finger, a pen or a mouse. */
export function SignaturePad({ path, onDraw }: Props): ReactElement {
  const palette = usePalette();
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<Pad | null>(null);
  const [isBegun, setIsBegun] = useState(false);
  const tell = useRef(onDraw);
  useEffect(() => void (tell.current = onDraw));
  useEffect(() => {
    const field = canvas.current;
    if (field === null) return undefined;
    const { width } = field.getBoundingClientRect();
    const dots = window.devicePixelRatio;
    field.width = width * dots;
    field.height = ((width * FIELD.height) / FIELD.width) * dots;
    field.getContext('2d')?.scale(dots, dots);
    const made = new Pad(field, { penColor: palette.ink, minWidth: 1, maxWidth: 3 });
    made.addEventListener('beginStroke', () => setIsBegun(true));
    made.addEventListener('endStroke', () => tell.current(pathOf(made, FIELD.width / width)));
    pad.current = made;
    return () => made.off();
  }, [palette.ink]);
  useEffect(() => {
    if (path !== '') return;
    pad.current?.clear();
    setIsBegun(false);
  }, [path]);
  return (
    <div style={{ position: 'relative' }}>
      <canvas
        ref={canvas}
        role="img"
        aria-label="Field to sign in"
        style={{
          boxSizing: 'border-box',
          width: '100%',
          aspectRatio: `${FIELD.width} / ${FIELD.height}`,
          border: `${RULE}px solid ${palette.edge}`,
          borderRadius: CORNER,
          background: palette.card,
          touchAction: 'none',
        }}
      />
      {path === '' && !isBegun ? (
        <View style={sheet.over} pointerEvents="none" aria-hidden>
          <AppText soft>Sign here</AppText>
        </View>
      ) : null}
    </div>
  );
}

const sheet = StyleSheet.create({
  over: { position: 'absolute', top: 0, right: 0, bottom: 0, left: 0, alignItems: 'center', justifyContent: 'center' },
});

/** The strokes as straight lines, each point brought into the units of the field. */
function pathOf(pad: Pad, scale: number): string {
  const at = (value: number): number => Math.round(value * scale);
  return pad
    .toData()
    .flatMap(({ points }) => {
      const lines = points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${at(x)} ${at(y)}`);
      // A dot is a line to where it began.
      return lines.length === 1 ? [...lines, lines[0]?.replace('M', 'L') ?? ''] : lines;
    })
    .join('');
}
