import type { ReactElement } from 'react';
import { usePalette } from './use-palette';

interface Props {
  /** A constant of `@mdi/js`: its outline on a square of 24. */
  readonly path: string;
  readonly size?: number;
  readonly color?: string;
}

/**
 * A shape that goes with a word beside it; it says nothing to a screen reader by itself. Drawn as the browser's own
 * SVG element: a list shows a hundred of them, and each costs a fraction of a component that works everywhere.
 */
export function Icon({ path, size = 22, color }: Props): ReactElement {
  const palette = usePalette();
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true" style={{ flexShrink: 0 }}>
      <path d={path} fill={color ?? palette.ink} />
    </svg>
  );
}
