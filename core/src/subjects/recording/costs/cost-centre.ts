import { accepted, refuse, type Outcome } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { SETTINGS_ID } from '../../orders/settings/settings';

/** Whether a cost centre that was chosen is one of those in the settings. */
export async function checkCostCentre(records: Records, id: string | undefined): Promise<Outcome> {
  if (id === undefined) return accepted;
  const settings = await records.get('settings', SETTINGS_ID);
  return settings?.costCentres?.some((each) => each.id === id) === true
    ? accepted
    : refuse('not_found', { what: 'cost centre' }, 'costCentre');
}

/** The cost centre that something is charged to, where one was chosen. */
export function namedCostCentre(id: string | undefined): { readonly costCentre?: string } {
  return id === undefined ? {} : { costCentre: id };
}
