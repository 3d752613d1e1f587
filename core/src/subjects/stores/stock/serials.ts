import type { AssetId, BinId, PartId } from '../../../kernel/ids';
import { addDays, localDate } from '../../../kernel/time/local-day';
import { accepted, refuse, type OperationContext, type Outcome } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { Installation } from '../../plant/plant/installation';
import { SETTINGS_ID, settingsAt } from '../../orders/settings/settings';
import { entryBeside } from '../../orders/work/entry-ids';
import { newEntry } from '../../orders/work/guards';
import type { WorkOrder } from '../../orders/work/work-order';
import { moveStock } from './part-use';
import type { Fate, RemovalContent } from './removal';

/** What goes into a machine with a serial number of its own. */
export interface GoesIn {
  readonly partId: PartId;
  readonly assetId: AssetId;
  readonly serial: string;
}

/** Puts it into the make-up of its machine. Refused where this number is in a machine already. */
export async function fitIn(
  records: Records,
  work: WorkOrder,
  { partId, assetId, serial }: GoesIn,
  context: OperationContext,
): Promise<Outcome> {
  const asset = await records.get('assets', assetId);
  if (asset?.siteId !== work.siteId) return refuse('not_found', { what: 'machine' }, 'goesIn');
  const there = (await records.list('installations', 'site', work.siteId)).find(
    (each) => each.partId === partId && each.serial.toLowerCase() === serial.toLowerCase(),
  );
  if (there !== undefined) {
    const name = (await records.get('assets', there.assetId))?.name ?? 'another machine';
    return refuse('serial_installed_elsewhere', { asset: name }, 'goesIn');
  }
  const settings = await records.get('settings', SETTINGS_ID);
  if (settings === undefined) return refuse('not_found', { what: 'settings record' });
  const { zone } = settingsAt(settings, await records.get('sites', work.siteId));
  const since = localDate(context.at, zone);
  const days = (await records.get('parts', partId))?.warrantyDays;
  const warrantyUntil = days === undefined ? null : addDays(since, days);
  const id = `in-${context.operationId}`;
  await records.put('installations', { id, siteId: work.siteId, assetId, partId, serial, since, warrantyUntil });
  return accepted;
}

/** What comes out of a machine, and what becomes of it. */
export interface ComesOut {
  readonly partId: PartId;
  readonly assetId: AssetId;
  /** Of what the books know to be in there; null for what they do not know. */
  readonly installationId: string | null;
  /** Empty where it has none. */
  readonly serial: string;
  readonly fate: Fate;
  /** Where it is kept; null where it is not. */
  readonly binId: BinId | null;
}

/**
 * Takes it out of the make-up of its machine and says what becomes of it; what is kept goes into a bin. What somebody else took out
 * before, unseen, is recorded all the same.
 */
export async function takeOut(
  records: Records,
  work: WorkOrder,
  { partId, assetId, installationId, serial, fate, binId }: ComesOut,
  context: OperationContext,
): Promise<Outcome> {
  if (fate === 'keep' && binId === null) return refuse('fate_needs_bin', {}, 'comesOut');
  const machine = await records.get('assets', assetId);
  if (machine?.siteId !== work.siteId) return refuse('not_found', { what: 'machine' }, 'comesOut');
  if ((await records.get('parts', partId)) === undefined) return refuse('not_found', { what: 'part' }, 'comesOut');
  const known = installationId === null ? undefined : await records.get('installations', installationId);
  const installation = known?.siteId === work.siteId ? known : undefined;
  if (installation !== undefined) await records.remove('installations', installation.id);
  const where = fate === 'keep' ? binId : null;
  if (where !== null) {
    const bin = await records.get('bins', where);
    if (bin === undefined || !context.person.siteIds.includes(bin.siteId))
      return refuse('not_found', { what: 'bin' }, 'comesOut');
    await moveStock(records, work, { partId, binId: where }, ONE, 'return', context, 'out');
  }
  const content: RemovalContent = {
    kind: 'removal',
    partId: installation?.partId ?? partId,
    assetId: installation?.assetId ?? assetId,
    serial: installation?.serial ?? serial,
    fate,
    binId: where,
    installation: installation ?? null,
  };
  const entry = newEntry(work, content, context);
  await records.put('entries', { ...entry, assetId: content.assetId, id: entryBeside(context.entryId, 'out') });
  return accepted;
}

const ONE = 1000;

/** It was not taken out: it is in its machine again, unless its number is in a machine by now, and out of its bin. */
export async function putInAgain(
  records: Records,
  work: WorkOrder,
  { installation, partId, binId }: RemovalContent,
  context: OperationContext,
): Promise<void> {
  if (installation !== null) await restore(records, installation);
  if (binId !== null) await moveStock(records, work, { partId, binId }, -ONE, 'correction', context, 'out');
}

async function restore(records: Records, installation: Installation): Promise<void> {
  const there = await records.list('installations', 'site', installation.siteId);
  const isTaken = there.some(({ partId, serial }) => partId === installation.partId && serial === installation.serial);
  if (!isTaken) await records.put('installations', installation);
}
