import { useMemo, type ReactElement } from 'react';
import { View } from 'react-native';
import {
  formatDuration,
  isLocalDay,
  operatingSpans,
  timeOfDay,
  type AssetId,
  type Instant,
  type WeeklyHours,
} from '@oilcan/core/kernel';
import { downtimeOf, type Downtime } from '@oilcan/core/recording/stoppages';
import { currentOf, type Entry, type EntryOf, type WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRow, useRow, useSettings } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';

interface Props {
  readonly work: WorkOrder;
  readonly entries: readonly Entry[];
}

/** How long the machines of a job stood still by what was recorded on it, each once; nothing where nothing was. */
export function StoodStill({ work, entries }: Props): ReactElement | null {
  const settings = useSettings(work.siteId);
  const site = useRow('sites', work.siteId);
  const stoppages = useMemo(() => byMachine(entries), [entries]);
  if (stoppages.size === 0 || settings === undefined) return null;
  return (
    <View>
      {[...stoppages].map(([assetId, some]) => (
        <AppText key={assetId} as="small" soft>
          {peekRow('assets', assetId)?.name ?? 'A machine'}: {downWords(some, site?.operatingHours, settings.zone)}
        </AppText>
      ))}
    </View>
  );
}

/** When a machine ran again with the end of the work: now, or on the day that is said of it at midday, and never before it stopped. */
function ranAgainAt(from: Instant, doneOn: string, zone: string): Instant {
  if (!isLocalDay(doneOn)) return now();
  const midday = timeOfDay(doneOn, MIDDAY_MINUTES, zone);
  return midday > from ? midday : from;
}

const MIDDAY_MINUTES = 12 * 60;

/** A stoppage that was forgotten is asked about before the job is finished; it may also stay. */
export function StillOut({ work, entries, doneOn }: Props & { readonly doneOn: string }): ReactElement {
  const settings = useSettings(work.siteId);
  const open = currentOf(entries, 'stoppage').filter(({ content }) => content.to === null);
  return (
    <>
      {open.map(({ id, assetId, content }) => (
        <View key={id} style={{ gap: 8 }}>
          <AppText>
            {peekRow('assets', assetId)?.name ?? 'A machine'} is out since{' '}
            {settings === undefined ? '' : sayMoment(content.from, now(), settings.zone, settings.language)}. Does it
            run again?
          </AppText>
          <View style={{ alignItems: 'flex-start' }}>
            <Button
              word="It runs again"
              onPress={() =>
                void performOrSay('stoppage.end', {
                  workOrderId: work.id,
                  entryId: id,
                  to: ranAgainAt(content.from, doneOn, settings?.zone ?? 'UTC'),
                })
              }
            />
          </View>
        </View>
      ))}
    </>
  );
}

function byMachine(entries: readonly Entry[]): ReadonlyMap<AssetId, readonly EntryOf<'stoppage'>[]> {
  const found = new Map<AssetId, EntryOf<'stoppage'>[]>();
  for (const entry of currentOf(entries, 'stoppage')) {
    found.set(entry.assetId, [...(found.get(entry.assetId) ?? []), entry]);
  }
  return found;
}

/** “stood still 1 h 20, 40 min of it in operating hours; ran reduced 30 min”. */
function downWords(
  entries: readonly EntryOf<'stoppage'>[],
  hours: readonly WeeklyHours[] | undefined,
  zone: string,
): string {
  const stoppages = entries.map(({ content }) => content);
  const from = stoppages.map((each) => each.from).sort()[0] ?? now();
  const window = {
    from,
    to: latest(
      now(),
      stoppages.flatMap(({ to }) => to ?? []),
    ),
  };
  const whole = downtimeOf(stoppages, window, null);
  const open = hours === undefined ? null : downtimeOf(stoppages, window, operatingSpans(hours, window, zone));
  const said = (words: string, minutes: keyof Downtime): string[] => {
    if (whole[minutes] === 0) return [];
    const within =
      open === null || open[minutes] === whole[minutes]
        ? ''
        : `, ${formatDuration(open[minutes])} of it in operating hours`;
    return [`${words} ${formatDuration(whole[minutes])}${within}`];
  };
  const parts = [...said('stood still', 'stoppedMinutes'), ...said('did not run fully for', 'reducedMinutes')];
  return parts.length === 0 ? 'out for less than a minute' : parts.join('; ');
}

function latest(one: Instant, others: readonly Instant[]): Instant {
  return [one, ...others].sort().at(-1) ?? one;
}
