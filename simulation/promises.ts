import type { Instant } from '@oilcan/core/kernel';
import type { Clock } from '@oilcan/core/recording/labor';
import { isProvisional } from '@oilcan/core/plant/numbers';
import { correctedTime } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import { tableNames } from '@oilcan/core/registry';
import type { Plan } from '@oilcan/core/finishing/plans';
import { roundOf, type Stop } from '@oilcan/core/steps/rounds';
import type { Asset, Installation } from '@oilcan/core/plant/plant';
import { conditionBy } from '@oilcan/core/recording/stoppages';
import type { Share } from '@oilcan/core/recording/shares';
import type { Step } from '@oilcan/core/steps/steps';
import { onHandAfter, stockLevelId, type Movement, type StockLevel } from '@oilcan/core/stores/stock';
import { isOpen, currentOf, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { assetId, binId, partId } from '@oilcan/core/testing';
import type { Phone } from '../app/src/data/phone/phone';
import { wrongReports } from './report-promises';
import { wrongStores } from './store-promises';
import { DANGER, ROUND, STOPS, type Pocket, type Shift } from './shift';

/** An operation as the server has it. */
interface Logged {
  readonly id: string;
  readonly name: string;
  readonly outcome: string;
  readonly by: string;
  /** By the clock of its device, which was ahead by so many milliseconds. */
  readonly at: string;
  readonly ahead: number;
  readonly receivedAt: Instant;
}

/** When something was done, as the server corrected it. */
const doneAt = ({ at, ahead, receivedAt }: Logged): number => Date.parse(correctedTime(at, ahead, receivedAt));

/** Everything that is promised once a shift is healed, as the sentences of what is broken; none when all holds. */
export async function brokenPromises(shift: Shift): Promise<string[]> {
  const broken: string[] = [];
  const log: Logged[] = await shift.server
    .database('operations')
    .select('id', 'name', 'outcome', 'by_person as by', 'at', 'ahead', 'received_at as receivedAt');
  const acceptedIds = new Set(log.filter(({ outcome }) => isOk(outcome)).map(({ id }) => id));

  for (const [who, pocket] of shift.pockets) {
    const [window] = pocket.windows;
    if (window === undefined) throw new Error(`${who} has no window open.`);
    const rejected = new Set(
      window.kept.filter(({ where }) => where === 'rejected').map(({ operation }) => operation.id),
    );
    for (const id of pocket.told) {
      if (acceptedIds.has(id) === rejected.has(id)) {
        broken.push(
          `${who} was told that ${id} is kept; it is ${acceptedIds.has(id) ? 'both' : 'neither'} on the server ${acceptedIds.has(id) ? 'and' : 'nor'} among the refused.`,
        );
      }
    }
    const waiting = window.kept.filter(({ where }) => where !== 'rejected');
    if (waiting.length > 0) broken.push(`${who} still answers for ${waiting.length} operations after all is healed.`);
    for (const each of pocket.windows) broken.push(...(await differences(who, each, pocket.person, shift)));
    broken.push(...(await wrongOrder(who, pocket, shift)));
  }

  for (const id of shift.server.accepted) {
    if (!acceptedIds.has(id)) broken.push(`${id} was accepted once and is not any more.`);
  }
  broken.push(...(await wrongSums(shift, log)));
  broken.push(...(await wrongNumbers(shift)));
  broken.push(...(await wrongReports(shift)));
  broken.push(...(await wrongStores(shift)));
  broken.push(...(await wrongPlans(shift)));
  broken.push(...(await wrongStops(shift)));
  broken.push(...(await wrongShares(shift)));
  broken.push(...(await wrongConditions(shift)));
  broken.push(...(await wrongSerials(shift)));
  broken.push(...(await wrongDangers(shift)));
  return broken;
}

/** A plan of which a work order is missing or was made twice, or that holds one for open that is not. */
async function wrongPlans(shift: Shift): Promise<string[]> {
  const rows: { body: string }[] = await shift.server.database('work_orders').select('body');
  const works = rows.map(({ body }) => JSON.parse(body) as WorkOrder);
  const plans: { body: string }[] = await shift.server.database('plans').select('body');
  return plans.flatMap(({ body }) => {
    const plan = JSON.parse(body) as Plan;
    const made = works.filter((work) => work.plan?.planId === plan.id);
    const times = made.map((work) => work.plan?.occurrence ?? 0).sort((a, b) => a - b);
    const wanted = Array.from({ length: plan.made }, (_, index) => index + 1);
    const open = made.find(({ id }) => id === plan.open?.workOrderId);
    return [
      ...(times.join() === wanted.join()
        ? []
        : [`${plan.id} made ${plan.made} work orders; there are ${times.join()}.`]),
      ...(plan.open === null || (open !== undefined && isOpen(open.state))
        ? []
        : [`${plan.id} holds ${plan.open.workOrderId} for open.`]),
    ];
  });
}

/** A round that lost a stop, or has one twice. */
async function wrongStops(shift: Shift): Promise<string[]> {
  const stored: { body: string }[] = await shift.server.database('stops').where('work_order', ROUND).select('body');
  const stops = stored.map(({ body }) => JSON.parse(body) as Stop);
  const { stops: walked } = roundOf(stops, []);
  return walked.length === STOPS ? [] : [`The round has ${walked.length} stops and not ${STOPS}.`];
}

/** A serial number that is in two machines, or twice in one. */
async function wrongSerials(shift: Shift): Promise<string[]> {
  const stored: { body: string }[] = await shift.server.database('installations').select('body');
  const serials = stored
    .map(({ body }) => JSON.parse(body) as Installation)
    .map((each) => `${each.partId} ${each.serial}`);
  return serials.filter((serial, index) => serials.indexOf(serial) !== index).map((serial) => `${serial} is in twice.`);
}

/** A machine that is marked by other stoppages than those that last, or in another condition than follows from them. */
async function wrongConditions(shift: Shift): Promise<string[]> {
  const entries: { body: string }[] = await shift.server.database('entries').select('body');
  const lasting = currentOf(
    entries.map(({ body }) => JSON.parse(body) as Entry),
    'stoppage',
  ).filter(({ content }) => content.to === null);
  const assets: { body: string }[] = await shift.server.database('assets').select('body');
  return assets.flatMap(({ body }) => {
    const asset = JSON.parse(body) as Asset;
    if (asset.openStoppages === undefined) return [];
    const marked = asset.openStoppages.map(({ entryId }) => entryId).sort();
    const wanted = lasting.filter(({ assetId }) => assetId === asset.id).map(({ id }) => id);
    const isSo = marked.join() === wanted.sort().join() && asset.condition === conditionBy(asset.openStoppages);
    return isSo ? [] : [`${asset.id} is ${asset.condition} by ${marked.join()}; ${wanted.join()} last.`];
  });
}

/**
 * A work order that was made without what endangers people on its machine, or a clock on one where nobody has read of it: who starts
 * the clock of a mate has read it for both.
 */
async function wrongDangers(shift: Shift): Promise<string[]> {
  const stored: { body: string }[] = await shift.server.database('work_orders').select('body');
  const made = stored
    .map(({ body }) => JSON.parse(body) as WorkOrder)
    .filter((work) => work.assetId === assetId && !work.id.startsWith('w-'));
  const without = made.filter(
    ({ hazards, isolation }) => !hazards.some(({ hazard }) => hazard === DANGER.hazard) || isolation.length === 0,
  );
  const rows: { body: string }[] = await shift.server.database('entries').select('body');
  const read = currentOf(
    rows.map(({ body }) => JSON.parse(body) as Entry),
    'acknowledgement',
  );
  const running: { body: string }[] = await shift.server.database('clocks').select('body');
  const unread = running
    .map(({ body }) => JSON.parse(body) as Clock)
    .filter(({ workOrderId }) => made.some(({ id }) => id === workOrderId))
    .filter(({ workOrderId }) => !read.some((entry) => entry.workOrderId === workOrderId));
  return [
    ...without.map(({ id, number }) => `${number} (${id}) was made without the hazards of its machine.`),
    ...unread.map(({ id, workOrderId }) => `The clock of ${id} runs on ${workOrderId}, whose hazards nobody has read.`),
  ];
}

/** A step in two shares, or a work order that is shared with others than those who have a share of it. */
async function wrongShares(shift: Shift): Promise<string[]> {
  const stored: { body: string }[] = await shift.server.database('shares').select('body');
  const shares = stored.map(({ body }) => JSON.parse(body) as Share);
  const put = shares.flatMap(({ stepIds }) => stepIds);
  const twice = put.filter((id, index) => put.indexOf(id) !== index).map((id) => `${id} is in two shares.`);
  const works: { body: string }[] = await shift.server.database('work_orders').select('body');
  const wrong = works.flatMap(({ body }) => {
    const { id, sharedWith = [] } = JSON.parse(body) as WorkOrder;
    const holders = shares.filter(({ workOrderId }) => workOrderId === id).map(({ personId }) => personId);
    const isSo = [...new Set(holders)].sort().join() === [...sharedWith].join();
    return isSo ? [] : [`${id} is shared with ${sharedWith.join()} and not with ${holders.join()}.`];
  });
  return [...twice, ...wrong];
}

/** Two work orders of one number, one without a final number, or one whose number changed. */
async function wrongNumbers(shift: Shift): Promise<string[]> {
  const stored: { id: string; body: string }[] = await shift.server.database('work_orders').select('id', 'body');
  const broken = shift.takenTwice.map((what) => `A number was taken twice by ${what}.`);
  const byNumber = new Map<string, string>();
  for (const { id, body } of stored) {
    const { number } = JSON.parse(body) as WorkOrder;
    const other = byNumber.get(number);
    if (other !== undefined) broken.push(`${id} and ${other} are both ${number}.`);
    byNumber.set(number, id);
    if (isProvisional(number)) broken.push(`${id} never got a number: ${number}.`);
    const shown = shift.numbers.get(id);
    if (shown !== undefined && !isProvisional(shown) && shown !== number)
      broken.push(`${id} was shown as ${shown} and is ${number}.`);
  }
  return broken;
}

/** What the phone shows against what the server would give to a new phone. */
async function differences(who: string, window: Phone, person: Person, shift: Shift): Promise<string[]> {
  const server = new Map<string, string>();
  for (const change of (await shift.server.everything(person)).changes) note(server, change);
  const found: string[] = [];
  for (const table of tableNames) {
    if (table === 'movements') continue;
    const shown = new Map(window.view.peekAll(table).map((row) => [row.id, JSON.stringify(row)]));
    const given = new Map(
      [...server]
        .filter(([key]) => key.startsWith(`${table}/`))
        .map(([key, row]) => [key.slice(table.length + 1), row]),
    );
    for (const id of new Set([...shown.keys(), ...given.keys()])) {
      if (!sameJson(shown.get(id), given.get(id)))
        found.push(`${who} shows ${table}/${id} as ${shown.get(id)}, the server has ${given.get(id)}.`);
    }
  }
  return found;
}

/** The entries of one device in another order than that in which they were made, or in the future. */
async function wrongOrder(who: string, pocket: Pocket, shift: Shift): Promise<string[]> {
  const entries: { id: string; body: string }[] = await shift.server
    .database('entries')
    .whereIn('id', pocket.told)
    .select('id', 'body');
  const times = new Map(entries.map(({ id, body }) => [id, (JSON.parse(body) as Entry).at]));
  const broken = [...times]
    .filter(([, at]) => at > shift.server.latest())
    .map(([id, at]) => `${who} recorded ${id} at ${at}, which is to come.`);
  // Phones go by the server's clock: where that was set, times before and after it tell no order.
  if (shift.server.hasSetClock) return broken;
  const made = pocket.told.filter((id) => times.has(id) && !pocket.mended.has(id));
  for (const [index, id] of made.entries()) {
    const before = made[index - 1];
    if (before !== undefined && (times.get(before) ?? '') > (times.get(id) ?? ''))
      broken.push(`${who} recorded ${before} before ${id}; their times say the opposite.`);
  }
  return broken;
}

function note(rows: Map<string, string>, change: Change): void {
  const key = `${change.table}/${change.id}`;
  if (change.row === null) rows.delete(key);
  else rows.set(key, JSON.stringify(change.row));
}

function sameJson(a: string | undefined, b: string | undefined): boolean {
  return a === b || (a !== undefined && b !== undefined && sorted(a) === sorted(b));
}

function sorted(json: string): string {
  return JSON.stringify(JSON.parse(json), (_key, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
}

/** Entries, stock and steps against what the accepted operations say. */
async function wrongSums(shift: Shift, log: readonly Logged[]): Promise<string[]> {
  const broken: string[] = [];
  const { database } = shift.server;
  const bodies = async <Row>(table: string): Promise<Row[]> => {
    const rows: { body: string }[] = await database(table).select('body');
    return rows.map(({ body }) => JSON.parse(body) as Row);
  };
  const entries = await bodies<Entry>('entries');
  const ids = new Set(entries.map(({ id }) => String(id)));
  const addsAnEntry = new Set([
    'note.add',
    'labor.add',
    'labor.amend',
    'part.use',
    'part.amend',
    'reading.add',
    'step.answer',
    'entry.withdraw',
    'work.acknowledge-hazards',
    'work.add-hazard',
    'photo.add',
    'isolation.record',
    'part.return',
    'part.hand-out',
    'work.set-urgency',
    'work.set-due',
    'work.plan',
    'work.put-off',
    'work.take-up',
  ]);
  /** Whether another of these came so shortly before or after an operation. */
  const isNear = (id: string, names: readonly string[], milliseconds: number): boolean => {
    const one = log.find((each) => each.id === id);
    return log.some(
      (other) =>
        one !== undefined &&
        other.id !== id &&
        names.includes(other.name) &&
        isOk(other.outcome) &&
        Math.abs(doneAt(other) - doneAt(one)) < milliseconds,
    );
  };
  // The same hazards read again within a minute are one reading, and a clock that runs for less than two seconds is a slip.
  const isSameReading = (id: string): boolean => isNear(id, ['work.acknowledge-hazards'], 60_000);
  const isSlip = (id: string): boolean =>
    isNear(id, ['clock.start', 'clock.start-for', 'clock.stop', 'clock.stop-for'], 2_000);
  for (const { id, name, outcome } of log) {
    if (
      addsAnEntry.has(name) &&
      isOk(outcome) !== ids.has(id) &&
      !(name === 'work.acknowledge-hazards' && isSameReading(id))
    )
      broken.push(`${name} ${id} was ${isOk(outcome) ? 'accepted without' : 'refused with'} an entry.`);
  }
  // Of a clock on a break the time is recorded already.
  const hadBreaks = log.some(({ name, outcome }) => name === 'clock.pause' && isOk(outcome));
  for (const { id, name, outcome } of log) {
    if (hadBreaks && isOk(outcome)) continue;
    if ((name === 'clock.stop' || name === 'clock.stop-for') && isOk(outcome) !== ids.has(`${id}-clock`) && !isSlip(id))
      broken.push(`Stopping a clock with ${id} was ${isOk(outcome) ? 'accepted without' : 'refused with'} its time.`);
  }
  const steps = await bodies<Step>('steps');
  for (const step of steps) {
    const answers = entries.flatMap(({ at, content }) =>
      content.kind === 'answer' && content.stepId === step.id ? [{ at, answer: content.answer }] : [],
    );
    const newest = answers
      .map(({ at }) => at)
      .sort()
      .at(-1);
    const possible = answers.filter(({ at }) => at === newest).map(({ answer }) => JSON.stringify(answer));
    if (newest !== undefined && !possible.includes(JSON.stringify(step.answer?.value ?? null)))
      broken.push(
        `${step.id} is ${JSON.stringify(step.answer?.value)}; its newest answer is ${possible.join(' or ')}.`,
      );
  }
  const movements = (await bodies<Movement>('movements')).filter(
    (movement) => movement.partId === partId && movement.binId === binId,
  );
  const level = (await bodies<StockLevel>('stock')).find(({ id }) => id === stockLevelId(partId, binId));
  if (level?.onHand !== onHandAfter(movements))
    broken.push(`The bin says ${level?.onHand}, its movements ${onHandAfter(movements)}.`);
  const used = currentOf(entries, 'part').reduce((sum, { content }) => sum + content.quantity, 0);
  const kept = 1_000 * currentOf(entries, 'removal').filter(({ content }) => content.binId === binId).length;
  // Counted, sent, handed out for no job and brought back from there.
  const other = onHandAfter(
    movements.filter(({ reason, workOrderId }) => reason !== 'opening' && workOrderId === null),
  );
  const late = onHandAfter(movements.filter(({ reason, workOrderId }) => reason === 'count' && workOrderId !== null));
  if (8_000 - used + kept + other + late !== level?.onHand)
    broken.push(
      `Of 8 pieces ${used / 1000} were used and ${kept / 1000} kept, and ${(level?.onHand ?? 0) / 1000} are left.`,
    );
  return broken;
}

function isOk(outcome: string): boolean {
  return (JSON.parse(outcome) as { ok: boolean }).ok;
}
