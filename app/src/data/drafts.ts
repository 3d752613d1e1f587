import { useCallback, useState } from 'react';
import { keptChoice } from '../ui/kept-choice';

/** So many drafts are kept; the oldest go. */
const MOST_DRAFTS = 40;

/** What was typed and not kept yet, by where. */
const useDrafts = keptChoice<Readonly<Record<string, string>>>(
  'oilcan.drafts',
  {},
  {
    read: (kept) =>
      typeof kept === 'object' && kept !== null
        ? Object.fromEntries(
            Object.entries(kept).filter((each): each is [string, string] => typeof each[1] === 'string'),
          )
        : {},
    isPersonal: true,
  },
);

function keepDraft(where: string, text: string): void {
  const { value, choose } = useDrafts.getState();
  const { [where]: _, ...others } = value;
  choose(Object.fromEntries([...Object.entries(others), ...(text === '' ? [] : [[where, text]])].slice(-MOST_DRAFTS)));
}

interface KeptText {
  readonly where: string;
  readonly text: string;
}

/** What was typed at other places of the same beginning and not kept yet, the latest first. */
export function otherDrafts(beginning: string, than: string): readonly KeptText[] {
  return Object.entries(useDrafts.getState().value)
    .filter(([where]) => where.startsWith(beginning) && where !== than)
    .map(([where, text]) => ({ where, text }))
    .reverse();
}

export function forgetDraft(where: string): void {
  keepDraft(where, '');
}

interface Draft {
  /** What was typed there before. */
  readonly first: string;
  readonly keep: (text: string) => void;
  readonly forget: () => void;
}

/** Text that survives a reload half-typed. */
export function useDraft(where: string): Draft {
  const [first] = useState(() => useDrafts.getState().value[where] ?? '');
  const keep = useCallback((text: string) => keepDraft(where, text), [where]);
  const forget = useCallback(() => forgetDraft(where), [where]);
  return { first, keep, forget };
}
