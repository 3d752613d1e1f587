import { useCallback, useState, type ReactElement } from 'react';
import { undoLast } from '../../../data/store/undo';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { useCommand } from '../../frame/keys/commands';
import { keysAfter, keysBefore, useKeys, type Key } from '../../frame/keys/use-keys';
import { dockItems } from '../../frame/registry/views';

const KeysSheet = lazyComponent(() => import('../../frame/keys/keys-sheet').then((module) => module.KeysSheet));

/** The keys of a wide screen, in the order in which they are listed. */
export const shiftKeys: readonly Key[] = [
  ...keysBefore,
  ...dockItems.map(({ key, name, word }): Key => ({ key, command: `record ${name}`, words: word })),
  ...keysAfter,
];

/** On a wide screen: the list and the sheet beside it are driven by keys. */
export function ShiftKeys(): ReactElement | null {
  const [isAsking, setIsAsking] = useState(false);
  useCommand('undo', undoLast);
  useKeys(
    shiftKeys,
    useCallback(() => setIsAsking(true), []),
  );
  return isAsking ? <KeysSheet keys={shiftKeys} onClose={() => setIsAsking(false)} /> : null;
}
