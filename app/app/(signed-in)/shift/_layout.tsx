import { Slot, usePathname } from 'expo-router';
import { useEffect, type ReactElement } from 'react';
import { Beside } from '../../../src/features/frame/page/beside';
import { useOpenParams } from '../../../src/features/frame/page/use-open-params';
import { BesidePinned } from '../../../src/features/orders/sheet/beside-pinned';
import { SheetPiece } from '../../../src/features/orders/sheet/sheet-piece';
import { ShiftScreen } from '../../../src/features/finishing/shift/shift-screen';
import { useIsWide } from '../../../src/ui/theme/theme';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

/** After the list has shown. */
const SOON_MILLISECONDS = 1_000;

/** Only wide screens have keys worth listening to. */
const ShiftKeys = lazyComponent(() =>
  import('../../../src/features/finishing/shift/shift-keys').then((module) => module.ShiftKeys),
);

/** On a wide screen the list stays beside whatever is open. */
export default function ShiftLayout(): ReactElement {
  const isWide = useIsWide();
  const path = usePathname();
  const { work } = useOpenParams();
  useEffect(() => {
    const timer = setTimeout(() => void SheetPiece.load().catch(() => undefined), SOON_MILLISECONDS);
    return () => clearTimeout(timer);
  }, []);
  // A table needs the whole width.
  if (!isWide || path === '/shift/table') return <Slot />;
  const list = (
    <>
      <ShiftScreen chosen={work} />
      <ShiftKeys />
    </>
  );
  return (
    <Beside list={list}>
      <BesidePinned open={work}>
        <Slot />
      </BesidePinned>
    </Beside>
  );
}
