import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { addMinutes, inZone, minutesBetween, type Instant, type Zone } from '@oilcan/core/kernel';
import type { Day } from '@oilcan/core/recording/labor';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';

interface Props {
  readonly day: Day;
  /** The whole day. */
  readonly window: { readonly from: Instant; readonly to: Instant };
  readonly zone: Zone;
}

/** An empty day is drawn from and to these hours. */
const USUAL_HOURS = { from: 7, to: 16 } as const;

/** The day as a strip of hours: jobs full, other time outlined, twice-recorded time on a second line. */
export function DayPicture({ day, window, zone }: Props): ReactElement {
  const palette = usePalette();
  const { from, to } = drawn(day, window, zone);
  const whole = Math.max(1, minutesBetween(from, to));
  const share = (a: Instant, b: Instant): `${number}%` => `${(100 * minutesBetween(a, b)) / whole}%`;
  const hours = hoursBetween(from, to);
  return (
    <View role="img" aria-label={`From ${clockTime(from, zone)} to ${clockTime(to, zone)}`} style={sheet.picture}>
      <View style={[sheet.strip, { borderColor: palette.edge, backgroundColor: palette.card }]}>
        {day.times.map((time) => (
          <View
            key={time.id}
            style={[
              sheet.time,
              { left: share(from, time.from), width: share(time.from, time.to), borderColor: palette.green },
              { backgroundColor: time.workOrderId === null ? palette.card : palette.green },
            ]}
          />
        ))}
        {day.overlaps.map((overlap) => (
          <View
            key={`${overlap.earlier.id} ${overlap.later.id}`}
            style={[
              sheet.twice,
              { left: share(from, overlap.from), width: share(overlap.from, overlap.to) },
              { borderColor: palette.ink, backgroundColor: palette.paper },
            ]}
          />
        ))}
      </View>
      <View style={sheet.hours}>
        {hours.map((at) => (
          <AppText key={at} as="mark" soft style={[sheet.hour, { left: share(from, at) }]}>
            {inZone(at, zone).toFormat('H')}
          </AppText>
        ))}
      </View>
    </View>
  );
}

/** The time of day: `7:40`. */
export function clockTime(at: Instant, zone: Zone): string {
  return inZone(at, zone).toFormat('H:mm');
}

/** From the whole hour before the first to the whole hour after the last time; a usual day for nothing. */
function drawn(day: Day, window: Props['window'], zone: Zone): { readonly from: Instant; readonly to: Instant } {
  const begins = day.times.map((time) => time.from).sort()[0] ?? addMinutes(window.from, USUAL_HOURS.from * 60);
  const ends =
    day.times
      .map((time) => time.to)
      .sort()
      .at(-1) ?? addMinutes(window.from, USUAL_HOURS.to * 60);
  const from = addMinutes(begins, -inZone(begins, zone).minute);
  const past = inZone(ends, zone).minute;
  const to = addMinutes(ends, past === 0 ? 0 : 60 - past);
  return { from: from < window.from ? window.from : from, to: to > window.to ? window.to : to };
}

/** Whole hours that are named under the strip: every one of few, every second or third of many. */
function hoursBetween(from: Instant, to: Instant): Instant[] {
  const count = Math.round(minutesBetween(from, to) / 60);
  const step = count > 16 ? 3 : count > 9 ? 2 : 1;
  return Array.from({ length: Math.floor(count / step) + 1 }, (_, index) => addMinutes(from, index * step * 60));
}

const sheet = StyleSheet.create({
  picture: { paddingHorizontal: 8 },
  strip: { height: 40, borderWidth: 1, borderRadius: 2, overflow: 'hidden' },
  time: { position: 'absolute', top: 0, bottom: 0, borderWidth: 2 },
  twice: { position: 'absolute', top: 12, height: 16, borderWidth: 2 },
  hours: { height: 20 },
  hour: { position: 'absolute', width: 32, marginLeft: -16, textAlign: 'center' },
});
