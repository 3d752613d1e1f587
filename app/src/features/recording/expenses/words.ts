import { peekRow } from '../../../data/store/store';

/** ` · charged to Snow`; empty for what goes to the cost centre of the machine. */
export function chargedTo(costCentre: string | undefined): string {
  if (costCentre === undefined) return '';
  const centre = peekRow('settings', 'settings')?.costCentres?.find(({ id }) => id === costCentre);
  return ` · charged to ${centre?.name ?? costCentre}`;
}
