import { Redirect, Slot } from 'expo-router';
import type { ReactElement } from 'react';
import { useBackgroundSync } from '../../src/data/background/background-sync';
import { usePhone } from '../../src/data/store/store';
import { usePlanDates } from '../../src/features/finishing/plans/use-plan-dates';
import { usePushes } from '../../src/features/overview/notices/use-pushes';
import { Frame } from '../../src/features/frame/frame/frame';

export { FailedScreen as ErrorBoundary } from '../../src/ui/loading/failed-screen';

export default function SignedInLayout(): ReactElement | null {
  const phase = usePhone((state) => state.phase);
  const person = usePhone((state) => state.person);
  useBackgroundSync(person !== null);
  usePushes(person !== null);
  usePlanDates(person !== null);
  const expected = usePhone((state) => state.expected);
  // While the phone's database opens, the screens' code is already on its way; they draw nothing without a person, and begin with the rows.
  const isOpening = phase === 'opening';
  const screen = <Slot key={isOpening ? 'on its way' : 'here'} />;
  const shown = isOpening ? expected : person;
  if (shown !== null)
    return (
      <Frame person={shown} isOpening={isOpening}>
        {screen}
      </Frame>
    );
  return isOpening ? screen : <Redirect href="/sign-in" />;
}
