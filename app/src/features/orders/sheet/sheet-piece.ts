import { lazyComponent } from '../../../ui/loading/lazy-component';

/** The sheet of a work order: loaded behind the list with all that opens from it, so that the first job opens at once. */
export const SheetPiece = lazyComponent(async () => {
  const { WorkSheet, loadItems } = await import('./work-sheet');
  await loadItems();
  return WorkSheet;
});
