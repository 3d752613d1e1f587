import { useRouter } from 'expo-router';
import { lazy, useCallback, useState, type ReactElement } from 'react';
import { useShiftChoice } from '../shift/use-narrowing';
import { useShift } from '../shift/use-shift';
import { useCommand } from './commands';
import { useKeys } from './use-keys';
import { Piece } from '../../ui/piece';

const KeysSheet = lazy(() => import('./keys-sheet').then((module) => ({ default: module.KeysSheet })));

/** On a wide screen: the list and the sheet beside it are driven by keys. */
export function ShiftKeys({ chosen }: { readonly chosen: string | undefined }): ReactElement | null {
  const router = useRouter();
  const { find, narrowing } = useShiftChoice();
  const shift = useShift(find, narrowing);
  const [isAsking, setIsAsking] = useState(false);
  const go = (by: 1 | -1): void => {
    const ids = shift?.sections.flatMap(({ data }) => data.map(({ id }) => id)) ?? [];
    const at = ids.findIndex((id) => id === chosen);
    const next = ids[at < 0 ? 0 : Math.min(ids.length - 1, Math.max(0, at + by))];
    if (next !== undefined) router.navigate(`/shift/${next}`);
  };
  useCommand('next', () => go(1));
  useCommand('previous', () => go(-1));
  useCommand('find', () => {
    const field = document.querySelector<HTMLInputElement>('input[aria-label="Find a job or a part"]');
    field?.focus();
    field?.select();
  });
  useKeys(
    true,
    useCallback(() => setIsAsking(true), []),
  );
  return isAsking ? (
    <Piece>
      <KeysSheet onClose={() => setIsAsking(false)} />
    </Piece>
  ) : null;
}
