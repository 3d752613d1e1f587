import type { ReactElement } from 'react';
import { usePalette } from './use-palette';

/** The field in which a signature is drawn, in units of its path. */
export const FIELD = { width: 600, height: 240 };

/** What somebody drew. */
export function Drawn({ path, name }: { readonly path: string; readonly name: string }): ReactElement {
  const palette = usePalette();
  return (
    <svg
      width={120}
      height={48}
      viewBox={`0 0 ${FIELD.width} ${FIELD.height}`}
      role="img"
      aria-label={`Signature of ${name}`}
    >
      <path d={path} fill="none" stroke={palette.ink} strokeWidth={8} strokeLinecap="round" strokeLinejoin="round" />
    </svg>
  );
}
