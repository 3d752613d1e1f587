import { useState } from 'react';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import { isUnusual } from '@oilcan/core/steps/readings';

interface AskedAbout {
  /** What is asked about the value as it is typed; null where it is not unusual, or nobody tried to keep it yet. */
  readonly question: string | null;
  /** Whether the value may be kept now: it is not unusual, or was asked about once already. */
  readonly mayKeep: () => boolean;
}

/** A value far off the usual is asked about once, with what the last ones were, and then kept. */
export function useAskedAbout(
  point: Pick<MeasuringPoint, 'latest' | 'decimals' | 'unit'> | undefined,
  text: string,
  value: number | null,
): AskedAbout {
  const [asked, setAsked] = useState<string | null>(null);
  const earlier = point?.latest.map((reading) => reading.value) ?? [];
  const isFar = value !== null && point !== undefined && isUnusual(value, earlier, 10 ** -point.decimals);
  return {
    question:
      isFar && asked === text
        ? `${text} ${point.unit}? ${lastSaid(earlier, point.decimals)} Keep it if it is right.`
        : null,
    mayKeep: () => {
      if (!isFar || asked === text) return true;
      setAsked(text);
      return false;
    },
  };
}

/** What the last values were: `The last 5 were 62 to 71.` */
function lastSaid(earlier: readonly number[], decimals: number): string {
  const [low, high] = [Math.min(...earlier), Math.max(...earlier)].map((value) => value.toFixed(decimals));
  return low === high
    ? `The last ${earlier.length} were all ${low ?? ''}.`
    : `The last ${earlier.length} were ${low ?? ''} to ${high ?? ''}.`;
}
