/** Marks a row of the tree, with how deep it lies. */
export const treeRow = (depth: number): object => ({ dataSet: { treeDepth: depth } });

interface Folding {
  readonly canOpen: boolean;
  readonly isOpen: boolean;
  readonly turn: () => void;
}

/**
 * In a tree the arrows go up and down its rows; to the right they unfold a row, or go on into it, to the left they fold it, or go
 * back to what it is part of.
 */
export function byArrows(event: KeyboardEvent, { canOpen, isOpen, turn }: Folding): void {
  if (!(event.currentTarget instanceof HTMLElement)) return;
  const row = event.currentTarget;
  switch (event.key) {
    case 'ArrowRight':
      if (canOpen && !isOpen) turn();
      else go(row, 1);
      break;
    case 'ArrowLeft':
      if (canOpen && isOpen) turn();
      else goOut(row);
      break;
    case 'ArrowDown':
      go(row, 1);
      break;
    case 'ArrowUp':
      go(row, -1);
      break;
    default:
      return;
  }
  event.preventDefault();
}

const depthOf = (row: HTMLElement): number => Number(row.dataset['treeDepth']);

function rowsAround(row: HTMLElement): HTMLElement[] {
  return [...(row.closest('[role="list"]') ?? document).querySelectorAll<HTMLElement>('[data-tree-depth]')];
}

function go(row: HTMLElement, by: 1 | -1): void {
  const rows = rowsAround(row);
  focusIn(rows[rows.indexOf(row) + by]);
}

function goOut(row: HTMLElement): void {
  const rows = rowsAround(row);
  const above = rows.slice(0, rows.indexOf(row)).reverse();
  focusIn(above.find((each) => depthOf(each) < depthOf(row)));
}

/** Onto what the row is about: its machine, or the key that folds its place. */
function focusIn(row: HTMLElement | undefined): void {
  (row?.querySelector<HTMLElement>('a') ?? row?.querySelector<HTMLElement>('[role="button"], button'))?.focus();
}
