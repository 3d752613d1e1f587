import { useMemo } from 'react';
import { convertReading } from '@oilcan/core/kernel';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import type { Gauges } from '../../../data/gauge/gauge';
import { simulatedGauges } from '../../../data/gauge/simulated-gauges';
import { useIsDemo } from '../../frame/page/use-is-demo';

/** The gauges within reach; simulated ones in the demo, which measure about what was read last. Null where there are none. */
export function useGauges(point: Pick<MeasuringPoint, 'latest' | 'unit' | 'scale'> | undefined): Gauges | null {
  const isDemo = useIsDemo();
  return useMemo(() => {
    if (!isDemo || point === undefined) return null;
    const last = point.latest.at(-1)?.value ?? (point.scale.from + point.scale.to) / 2;
    return simulatedGauges({
      there: (unit) => convertReading(last, point.unit, unit, 3),
      chance: Math.random,
      after: (milliseconds, then) => {
        const timer = setTimeout(then, milliseconds);
        return () => clearTimeout(timer);
      },
    });
  }, [isDemo, point]);
}
