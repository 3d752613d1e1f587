import { usePathname } from 'expo-router';
import type { ReactElement } from 'react';
import { StyleSheet } from 'react-native';
import { formatClock } from '@oilcan/core/kernel';
import { clockMinutes } from '@oilcan/core/recording/labor';
import { useRow } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { useNow } from '../../../data/store/use-now';
import { LinkPress } from '../../../ui/press/link-press';
import { CORNER, RULE, useIsWindowWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';

/** In every bar but that of the job itself: on which job my clock runs, and the way there. */
export function ClockMark(): ReactElement | null {
  const palette = usePalette();
  const clock = useRow('clocks', useMe());
  const work = useRow('workOrders', clock?.workOrderId);
  const present = useNow(15);
  const path = usePathname();
  const isWide = useIsWindowWide();
  if (clock === undefined || path === `/shift/${clock.workOrderId}`) return null;
  const isPaused = clock.isPaused === true;
  const time = isPaused ? 'Break' : formatClock(clockMinutes(clock.startedAt, present));
  const number = work?.number ?? '';
  // Beside the key to find with there is room for the time alone on a phone; Shift has both.
  const isShort = !isWide && path !== '/shift' && !path.startsWith('/shift/');
  return (
    <LinkPress
      href={`/shift/${clock.workOrderId}`}
      label={isPaused ? `Break on ${number}: to this job` : `${time} ${number}: to the job that my clock runs on`}
      testID="clock-mark"
      style={[
        sheet.mark,
        isPaused
          ? { borderColor: palette.edge, backgroundColor: palette.card }
          : { borderColor: palette.brass, backgroundColor: palette.brass },
      ]}
    >
      <AppText as="label" lines={1} color={isPaused ? palette.ink : palette.onBrass}>
        {isShort ? time : `${time} ${number}`}
      </AppText>
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  mark: { borderWidth: RULE, borderRadius: CORNER, paddingHorizontal: 8, marginHorizontal: 4 },
});
