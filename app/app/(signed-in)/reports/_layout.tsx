import { Slot } from 'expo-router';
import type { ReactElement } from 'react';
import { Beside } from '../../../src/features/frame/page/beside';
import { useIsWide } from '../../../src/ui/theme/theme';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

const ReportsScreen = lazyComponent(() =>
  import('../../../src/features/raising/reports/reports-screen').then((module) => module.ReportsScreen),
);

/** On a wide screen the list stays always beside the report that is looked at. */
export default function ReportsLayout(): ReactElement {
  if (!useIsWide()) return <Slot />;
  return (
    <Beside list={<ReportsScreen shown="toAnswer" />}>
      <Slot />
    </Beside>
  );
}
