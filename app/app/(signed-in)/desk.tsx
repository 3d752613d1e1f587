import { Redirect } from 'expo-router';
import type { ReactElement } from 'react';
import { hasRole } from '@oilcan/core/operations';
import { usePhone } from '../../src/data/store/store';
import { SheetPiece } from '../../src/features/orders/sheet/sheet-piece';
import { lazyComponent } from '../../src/ui/loading/lazy-component';

const DeskPiece = lazyComponent(() =>
  import('../../src/features/overview/desk/desk-screen').then((module) => module.DeskScreen),
);

/** The lead's place; whoever is none has their own work. */
export default function Desk(): ReactElement {
  const person = usePhone((state) => state.person);
  if (person !== null && !hasRole(person, ['lead'])) return <Redirect href="/shift" />;
  return <DeskPiece Sheet={SheetPiece} />;
}
