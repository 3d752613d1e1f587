import type { ReactElement } from 'react';
import Svg, { Circle, Path } from 'react-native-svg';
import type { StepOutcome } from '@oilcan/core';

/** OK is a ring, Fixed a diamond, Faulty a solid triangle: told apart without colour. */
export function VerdictShape({
  outcome,
  color,
  size = 18,
}: {
  readonly outcome: StepOutcome;
  readonly color: string;
  readonly size?: number;
}): ReactElement {
  return (
    <Svg width={size} height={size} viewBox="0 0 20 20" aria-hidden>
      {outcome === 'ok' ? <Circle cx={10} cy={10} r={7} stroke={color} strokeWidth={3} fill="none" /> : null}
      {outcome === 'fixed' ? <Path d="M10 1 19 10 10 19 1 10Z" fill={color} /> : null}
      {outcome === 'faulty' ? <Path d="M10 2 19.5 18.5H.5Z" fill={color} /> : null}
    </Svg>
  );
}
