import type { TableName } from '@oilcan/core/records';
import type { Revision } from '@oilcan/core/sync';
import type { Run } from '../statements';

/** Under which revision what decides who carries what last changed. */
export const SCOPES_COUNTER = 'scopes';

/** Whether rows of a table decide who carries what: whose sites and roles are which, who is in which crew, and what whom is shown. */
export function governsScopes(table: TableName): boolean {
  return table === 'people' || table === 'crews' || table === 'settings';
}

export async function noteScopesChanged(run: Run, revision: Revision): Promise<void> {
  await run('UPDATE counters SET value = ? WHERE name = ?', [revision, SCOPES_COUNTER]);
}
