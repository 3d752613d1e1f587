import { Slot, useGlobalSearchParams } from 'expo-router';
import { lazy, type ReactElement } from 'react';
import { Beside } from '../../../src/features/frame/beside';
import { ShiftScreen } from '../../../src/features/shift/shift-screen';
import { useIsWide } from '../../../src/ui/theme';
import { Piece } from '../../../src/ui/piece';

/** Only wide screens have keys worth listening to. */
const ShiftKeys = lazy(() =>
  import('../../../src/features/keys/shift-keys').then((module) => ({ default: module.ShiftKeys })),
);

/** On a wide screen the list stays beside whatever is open. */
export default function ShiftLayout(): ReactElement {
  const isWide = useIsWide();
  const { work } = useGlobalSearchParams<{ work?: string }>();
  if (!isWide) return <Slot />;
  const list = (
    <>
      <ShiftScreen chosen={work} />
      <Piece>
        <ShiftKeys chosen={work} />
      </Piece>
    </>
  );
  return (
    <Beside list={list}>
      <Slot />
    </Beside>
  );
}
