import type { ReactElement } from 'react';
import { SheetPiece } from '../../src/features/sheet/sheet-piece';
import { piece } from '../../src/ui/piece';

const DeskPiece = piece(() => import('../../src/features/desk/desk-screen').then((module) => module.DeskScreen));

export default function Desk(): ReactElement {
  return <DeskPiece Sheet={SheetPiece} />;
}
