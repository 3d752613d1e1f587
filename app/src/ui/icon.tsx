import type { ReactElement } from 'react';
import Svg, { Path } from 'react-native-svg';
import { iconPaths, type IconName } from './icon-paths';
import { usePalette } from './theme';

interface Props {
  readonly name: IconName;
  readonly size?: number;
  readonly color?: string;
}

/** A shape that goes with a word beside it; it says nothing to a screen reader by itself. */
export function Icon({ name, size = 22, color }: Props): ReactElement {
  const palette = usePalette();
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Path d={iconPaths[name]} fill={color ?? palette.ink} />
    </Svg>
  );
}
