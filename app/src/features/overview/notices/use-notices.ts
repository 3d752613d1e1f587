import { useMemo } from 'react';
import type { Notice } from '@oilcan/core/overview/notices';
import { usePhone, useTable } from '../../../data/store/store';

/** My notices, newest first. */
export function useNotices(): readonly Notice[] {
  const me = usePhone((state) => state.person?.id);
  const notices = useTable('notices');
  return useMemo(
    () => notices.filter(({ personId }) => personId === me).sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0)),
    [notices, me],
  );
}

/** How many I have not seen. */
export function useUnseen(): number {
  return useNotices().filter(({ seenAt }) => seenAt === null).length;
}
