import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { useCommand } from '../keys/commands';
import { useKeys, type Key } from '../keys/use-keys';

const findKey: readonly Key[] = [{ key: '/', command: 'find', words: 'Find anything' }];
const nothing = (): void => undefined;

/** `/` finds from every page that has no keys of its own. */
export function FindKey(): null {
  const router = useRouter();
  useCommand(
    'find',
    useCallback(() => router.navigate('/find'), [router]),
  );
  useKeys(findKey, nothing);
  return null;
}
