import type { ReactElement } from 'react';
import type { StepOutcome } from '@oilcan/core/steps';

interface Props {
  readonly outcome: StepOutcome;
  readonly color: string;
  readonly size?: number;
}

/** OK is a ring, Fixed a diamond, Faulty a solid triangle: told apart without colour. */
export function VerdictShape({ outcome, color, size = 18 }: Props): ReactElement {
  return (
    <svg width={size} height={size} viewBox="0 0 20 20" aria-hidden="true" style={{ flexShrink: 0 }}>
      {outcome === 'ok' ? <circle cx={10} cy={10} r={7} stroke={color} strokeWidth={3} fill="none" /> : null}
      {outcome === 'fixed' ? <path d="M10 1 19 10 10 19 1 10Z" fill={color} /> : null}
      {outcome === 'faulty' ? <path d="M10 2 19.5 18.5H.5Z" fill={color} /> : null}
    </svg>
  );
}
