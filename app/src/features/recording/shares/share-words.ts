import { formatDuration } from '@oilcan/core/kernel';
import type { Share } from '@oilcan/core/recording/shares';
import type { Settings } from '@oilcan/core/orders/settings';
import type { Progress } from '@oilcan/core/steps/steps';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { peekRow } from '../../../data/store/store';

/** Whose a share is: “Your share”, “Share of Jonas Reith”. */
export function whoseWords({ personId }: Pick<Share, 'personId'>, me: string | undefined): string {
  return personId === me ? 'Your share' : `Share of ${peekRow('people', personId)?.name ?? 'a mate'}`;
}

/** How far it is: “2 of 5 steps, 0:45 of 1:30 h”. */
export function standingWords({ done, of }: Progress, spentMinutes: number, plannedMinutes: number): string {
  const steps = `${done} of ${of} ${of === 1 ? 'step' : 'steps'}`;
  if (plannedMinutes === 0) return spentMinutes === 0 ? steps : `${steps}, ${formatDuration(spentMinutes)}`;
  return `${steps}, ${formatDuration(spentMinutes)} of ${formatDuration(plannedMinutes)}`;
}

/** With what trade and on which machine, where that is another than the job's: “Electrical, Gearbox 2”. */
export function aboutWords(
  { tradeId, assetId }: Pick<Share, 'tradeId' | 'assetId'>,
  work: Pick<WorkOrder, 'assetId'>,
  settings: Pick<Settings, 'trades'> | undefined,
): string {
  const trade = settings?.trades.find(({ id }) => id === tradeId)?.name ?? tradeId;
  const machine = assetId === work.assetId ? undefined : peekRow('assets', assetId)?.name;
  return machine === undefined ? trade : `${trade}, ${machine}`;
}
