import { useState } from 'react';
import type { FieldValues } from 'react-hook-form';
import { toMillis } from '@oilcan/core/kernel';
import { useDraft } from '../data/store/drafts';
import { now } from '../data/store/store';

/** What was left half-typed longer ago is not found again: nobody knows any more what it was about. */
const LONGEST_MILLISECONDS = 24 * 3_600_000;

interface Kept {
  /** In milliseconds. */
  readonly at: number;
  readonly values: FieldValues;
}

/**
 * What a form begins with: its own values, and in place of them what was typed here before and not kept. Of values that the form does
 * not have, or that are of another kind by now, nothing is taken.
 */
export function valuesWith<Values extends FieldValues>(own: Values, text: string, present: number): Values {
  const kept = readKept(text);
  if (kept === null || present - kept.at > LONGEST_MILLISECONDS) return own;
  const typed = Object.entries(kept.values).filter(
    ([name, value]) => Object.hasOwn(own, name) && isOfKind(value, own[name] as unknown),
  );
  return { ...own, ...Object.fromEntries(typed) };
}

/** What is worth keeping of a form, as text: only what differs from its own values; nothing for none. */
export function textOf<Values extends FieldValues>(
  own: Values,
  typed: Values,
  never: readonly string[],
  at: number,
): string {
  const values = Object.fromEntries(
    Object.entries(typed).filter(
      ([name, value]) => !never.includes(name) && JSON.stringify(value) !== JSON.stringify(own[name]),
    ),
  );
  return Object.keys(values).length === 0 ? '' : JSON.stringify({ at, values } satisfies Kept);
}

function readKept(text: string): Kept | null {
  try {
    const kept: unknown = JSON.parse(text);
    const isKept = typeof kept === 'object' && kept !== null && 'at' in kept && 'values' in kept;
    return isKept && typeof kept.at === 'number' && typeof kept.values === 'object' ? (kept as Kept) : null;
  } catch {
    return null;
  }
}

/** Where a form begins with nothing, a value of any kind may stand. */
function isOfKind(value: unknown, own: unknown): boolean {
  return own === null || (typeof value === typeof own && Array.isArray(value) === Array.isArray(own));
}

interface FormDraft<Values extends FieldValues> {
  readonly first: Values;
  readonly keep: (typed: Values) => void;
  readonly forget: () => void;
}

/**
 * What was typed in a form before it was closed, by a stray tap, by Escape or by a reload.
 *
 * @param where names the form
 * @param own what it begins with where nothing was typed
 * @param never fields that are not kept
 */
export function useFormDraft<Values extends FieldValues>(
  where: string,
  own: Values,
  never: readonly string[],
): FormDraft<Values> {
  const { first: text, keep: keepText, forget } = useDraft(where);
  const [ownAtFirst] = useState(own);
  const [first] = useState(() => valuesWith(own, text, toMillis(now())));
  const keep = (typed: Values): void => keepText(textOf(ownAtFirst, typed, never, toMillis(now())));
  return { first, keep, forget };
}
