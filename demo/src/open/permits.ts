import { inZone, instantFromMillis, startOfDay, type Instant } from '@oilcan/core/kernel';
import type { Permit } from '@oilcan/core/plant/permits';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { settings, tess } from '../mountain/people';

/** What dangerous jobs need in writing; hours are of the day of the demo, null for what nobody has given yet. */
interface PermitPlan {
  readonly kind: Permit['kind'];
  readonly conditions: string;
  readonly issued: { readonly number: string; readonly fromHour: number; readonly untilHour: number } | null;
}

const permitsOfJob: Readonly<Record<string, readonly PermitPlan[]>> = {
  'Gearbox output seal weeping oil': [
    {
      kind: 'hotWork',
      conditions: 'Extinguisher and a fire watch for 60 min after. No flame while the pan is open.',
      issued: { number: 'HW-114', fromHour: 0, untilHour: 24 },
    },
  ],
  'Knock at tower 5 with every grip': [
    {
      kind: 'height',
      conditions: 'Two people. Not with wind above 60 km/h.',
      issued: { number: 'WH-207', fromHour: -40, untilHour: -6 },
    },
  ],
  'Wind at the ridge reads low': [{ kind: 'height', conditions: 'A mate in sight, radio on channel 4.', issued: null }],
  'Pump 2 shaft seal sprays under load': [
    {
      kind: 'electrical',
      conditions: 'Field 4 locked out and tagged.',
      issued: { number: 'EL-058', fromHour: 0, untilHour: 24 },
    },
  ],
};

/** The permits of an open job, as they stand at `now`. */
export function permitsOf(work: WorkOrder, now: Instant): Permit[] {
  const midnight = inZone(startOfDay(now, settings.zone), settings.zone);
  const at = (hour: number): Instant => instantFromMillis(midnight.plus({ hours: hour }).toMillis());
  return (permitsOfJob[work.title] ?? []).map(({ kind, conditions, issued }, index) => ({
    id: `${work.id}-permit-${index + 1}`,
    siteId: work.siteId,
    workOrderId: work.id,
    kind,
    conditions,
    issued:
      issued === null
        ? null
        : { number: issued.number, by: tess.id, from: at(issued.fromHour), until: at(issued.untilHour) },
  }));
}
