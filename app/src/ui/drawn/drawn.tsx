import type { ReactElement } from 'react';
import { signedBy } from '@oilcan/core/kernel';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

/** The field in which a signature is drawn, in units of its path. */
export const FIELD = { width: 600, height: 240 };

interface Props {
  readonly path: string;
  readonly name: string;
  readonly width?: number;
}

/** What somebody drew; of whoever signed without drawing, their name. */
export function Drawn({ path, name, width = 120 }: Props): ReactElement {
  const palette = usePalette();
  if (path === '') return <AppText as="label">{signedBy({ name, path })}</AppText>;
  return (
    <svg
      width={width}
      height={(width * FIELD.height) / FIELD.width}
      viewBox={`0 0 ${FIELD.width} ${FIELD.height}`}
      role="img"
      aria-label={`Signature of ${name}`}
    >
      <path d={path} fill="none" stroke={palette.ink} strokeWidth={8} strokeLinecap="round" strokeLinejoin="round" />
    </svg>
  );
}
