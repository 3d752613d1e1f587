import { useCallback, useState } from 'react';
import { keptChoice } from '../../ui/state/kept-choice';
import { usePhone } from './store';

/** So many drafts are kept; the oldest go. */
const MOST_DRAFTS = 40;

/** What was typed and not kept yet, by who typed it and where. */
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

/** Whose drafts are found at a place: nobody else ever sees them there. */
function ofPerson(where: string): string {
  return `${usePhone.getState().person?.id ?? ''} ${where}`;
}

function keepDraft(where: string, text: string): void {
  // Of somebody who signed out meanwhile nothing is kept.
  if (usePhone.getState().person === null) return;
  const { value, choose } = useDrafts.getState();
  const { [ofPerson(where)]: _, ...others } = value;
  const kept = text === '' ? [] : [[ofPerson(where), text]];
  choose(Object.fromEntries([...Object.entries(others), ...kept].slice(-MOST_DRAFTS)));
}

interface KeptText {
  readonly where: string;
  readonly text: string;
}

/** What was typed at other places of the same beginning and not kept yet, the latest first. */
export function otherDrafts(beginning: string, than: string): readonly KeptText[] {
  const own = ofPerson('');
  return Object.entries(useDrafts.getState().value)
    .filter(([of]) => of.startsWith(own))
    .map(([of, text]): [string, string] => [of.slice(own.length), text])
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
  const [first] = useState(() => useDrafts.getState().value[ofPerson(where)] ?? '');
  const keep = useCallback((text: string) => keepDraft(where, text), [where]);
  const forget = useCallback(() => forgetDraft(where), [where]);
  return { first, keep, forget };
}
