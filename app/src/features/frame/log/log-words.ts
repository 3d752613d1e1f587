import type { LoggedOperation, LoggedRow } from '@oilcan/core/sync';
import { peekRow } from '../../../data/store/store';
import { operationWords } from '../unsent/words';
import { phoneNames } from '../views/names';

/** What nobody with an account did. */
const byNobody: Readonly<Record<string, string>> = {
  'plan.make': 'A plan came due: its work order',
  'guest.report': 'Somebody without an account: a report',
  'guest.me-too': 'Somebody without an account has the same problem',
  'guest.say': 'Somebody without an account: more about a report',
};

/** What was done, as whoever did it would say it. */
export function didWords({ name, args, outcome }: LoggedOperation): string {
  const words = byNobody[name] ?? (outcome.ok ? operationWords({ name, args }, phoneNames) : labelOf({ name, args }));
  return outcome.ok ? words : `${words} (not taken)`;
}

/** Of what was refused only so much is kept that its own words may not find what they need. */
function labelOf(operation: Pick<LoggedOperation, 'name' | 'args'>): string {
  try {
    return operationWords(operation, phoneNames);
  } catch {
    return operation.name;
  }
}

/** Whose it was. */
export function whoseWords(by: string): string {
  return by === '' ? 'Oilcan' : (peekRow('people', by)?.name ?? by);
}

/** `lastTransition`: last transition. */
export function plainName(name: string): string {
  return name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}

/** The row as people know it: a work order by its number, a machine by its name. */
export function rowWords({ table, id }: Pick<LoggedRow, 'table' | 'id'>): string {
  const named = nameOf(id);
  const kind = plainName(table).replace(/ies$/, 'y').replace(/s$/, '');
  return named === null ? kind : `${kind} ${named}`;
}

/** The work order that an operation was about; null for none that this phone knows. */
export function workOf({ changed, args }: LoggedOperation): string | null {
  const inArgs = typeof args === 'object' && args !== null ? (args as { workOrderId?: unknown }).workOrderId : null;
  const id = typeof inArgs === 'string' ? inArgs : changed?.find(({ table }) => table === 'workOrders')?.id;
  const work = id === undefined ? undefined : peekRow('workOrders', id);
  return work === undefined ? null : `${work.number} ${work.title}`;
}

function nameOf(id: string): string | null {
  const work = peekRow('workOrders', id);
  if (work !== undefined) return work.number;
  const row = peekRow('people', id) ?? peekRow('assets', id) ?? peekRow('parts', id) ?? peekRow('places', id);
  return row?.name ?? peekRow('bins', id)?.label ?? peekRow('plans', id)?.title ?? null;
}

/** A value as it stood: a name for what has one, nothing said for nothing. */
export function valueWords(value: unknown): string {
  if (value === null || value === '' || (Array.isArray(value) && value.length === 0)) return 'nothing';
  if (typeof value === 'string') return nameOf(value) ?? value;
  if (Array.isArray(value) && value.every((each) => typeof each === 'string')) return value.map(valueWords).join(', ');
  return typeof value === 'object' ? JSON.stringify(value) : String(value);
}
