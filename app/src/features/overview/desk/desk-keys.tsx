import { useCallback, useState, type ReactElement } from 'react';
import { undoLast } from '../../../data/store/undo';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { useCommand } from '../../frame/keys/commands';
import { useKeys, type Key } from '../../frame/keys/use-keys';

const KeysSheet = lazyComponent(() => import('../../frame/keys/keys-sheet').then((module) => module.KeysSheet));

/** The keys of a wide Desk, in the order in which they are listed. */
const deskKeys: readonly Key[] = [
  { key: 'j', command: 'next', words: 'Next finished job' },
  { key: 'k', command: 'previous', words: 'Finished job before' },
  { key: 'Enter', command: 'open', words: 'Into the job: then the arrows move it' },
  { key: 'a', command: 'accept', words: 'Accept it, and on to the next' },
  { key: 'h', command: 'handBack', words: 'Hand it back' },
  { key: 'z', command: 'undo', words: 'Undo what was just accepted' },
];

/** On a wide screen finished work is looked through by keys alone. */
export function DeskKeys(): ReactElement | null {
  const [isAsking, setIsAsking] = useState(false);
  useCommand('undo', undoLast);
  useKeys(
    deskKeys,
    useCallback(() => setIsAsking(true), []),
  );
  return isAsking ? <KeysSheet keys={deskKeys} onClose={() => setIsAsking(false)} /> : null;
}
