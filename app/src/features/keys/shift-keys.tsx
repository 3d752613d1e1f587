import { useCallback, useState, type ReactElement } from 'react';
import { piece } from '../../ui/piece';
import { useKeys } from './use-keys';

const KeysSheet = piece(() => import('./keys-sheet').then((module) => module.KeysSheet));

/** On a wide screen: the list and the sheet beside it are driven by keys. */
export function ShiftKeys(): ReactElement | null {
  const [isAsking, setIsAsking] = useState(false);
  useKeys(
    true,
    useCallback(() => setIsAsking(true), []),
  );
  return isAsking ? <KeysSheet onClose={() => setIsAsking(false)} /> : null;
}
