import { parseArgs } from 'node:util';
import { connectTo, machineClock, openSession, SESSION_COOKIE, SqlRecords } from '@oilcan/server/testing';
import { Chance } from '../chance';
import { passedOver } from '../passed-over';
import { act, carriedBy, differing, synchronize, type Carried } from './crowd';
import { personOf, worksFor } from './works';

/** How often somebody with a phone does something, and how often it asks for news. */
const ACT_MILLISECONDS = 40_000;
const ASK_MILLISECONDS = 30_000;
/** Of so many synchronized phones one is looked at whole. */
const LOOKED_AT = 20;
const HEAL_ROUNDS = 60;
/** Far longer than any request may take. */
const OVERDUE_MILLISECONDS = 180_000;
const SEED = 1;

const { values } = parseArgs({
  options: {
    address: { type: 'string', default: '' },
    database: { type: 'string', default: '' },
    phones: { type: 'string', default: '200' },
    minutes: { type: 'string', default: '1' },
  },
});
const [count, minutes] = [Number(values.phones), Number(values.minutes)];
const say = (text: string): unknown => process.stdout.write(`${text}\n`);
const pause = (milliseconds: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, milliseconds));

const database = connectTo(values.database);
const chance = new Chance(SEED);
await database.transaction((transaction) => new SqlRecords(transaction).write(worksFor(count)));
const crowd: Carried[] = [];
for (let index = 0; index < count; index += 1) {
  const token = await openSession(database, personOf(index).id, 'simulated', machineClock());
  crowd.push(await carriedBy(index, values.address, `${SESSION_COOKIE}=${token}`));
}
say(`${count} phones, ${minutes} minutes`);

const end = machineClock() + minutes * 60_000;
const broken: string[] = [];
let synchronized = 0;
let failed = 0;
/** What each waits for. */
const at = new Map<Carried, string>();
// The application's own bound of a request keeps no process alive; and whatever is bounded by nothing is told of here.
const overdue = setTimeout(
  () => {
    for (const [{ person }, what] of [...at].slice(0, 20)) say(`${person.id} never came back from ${what}.`);
    process.exit(1);
  },
  minutes * 60_000 + OVERDUE_MILLISECONDS,
);
const live = async (carried: Carried, index: number): Promise<void> => {
  await pause(chance.next() * ASK_MILLISECONDS);
  while (machineClock() < end) {
    const { phone } = carried;
    if (phone.hasRows && chance.next() < ASK_MILLISECONDS / ACT_MILLISECONDS) await act(carried, index, chance);
    at.set(carried, 'the server');
    await synchronize(carried);
    if (phone.contact === 'reached') synchronized += 1;
    else failed += 1;
    if (phone.contact === 'reached' && synchronized % LOOKED_AT === 0) {
      at.set(carried, 'the database');
      const missing = await passedOver(database, phone, carried.person).catch(() => []);
      if (missing.length > 0)
        broken.push(
          `${carried.person.id} was told that it knows up to ${phone.readUpTo}, and has not ${missing.join()}.`,
        );
    }
    at.delete(carried);
    // A phone that heard nothing tries again sooner, as the application does.
    await pause(chance.next() * 2 * (phone.contact === 'reached' ? ASK_MILLISECONDS : 4_000));
  }
};
await Promise.all(crowd.map(live));
clearTimeout(overdue);
say(`${synchronized} times in touch, ${failed} times without an answer; now everything is healed`);
process.send?.('heal');

let isQuiet = false;
for (let round = 0; round < HEAL_ROUNDS; round += 1) {
  // What was sent in the last round, those who had asked before it hear in this one.
  const wasQuiet = isQuiet;
  for (const carried of crowd) await synchronize(carried);
  isQuiet = crowd.every(
    ({ phone }) => phone.contact === 'reached' && phone.kept.every(({ where }) => where === 'rejected'),
  );
  if (isQuiet && wasQuiet) break;
}

let performed = 0;
let refused = 0;
for (const { phone, performed: done, person } of crowd) {
  const left = new Map(phone.kept.map((kept) => [kept.operation.id, kept.where]));
  for (const id of done.keys()) {
    performed += 1;
    const logged: { outcome: string } | undefined = await database('operations').where('id', id).first('outcome');
    const isAccepted = logged !== undefined && (JSON.parse(logged.outcome) as { ok: boolean }).ok;
    const where = left.get(id);
    if (where === 'rejected') refused += 1;
    if (where === 'rejected' ? isAccepted : !isAccepted || where !== undefined)
      broken.push(
        `${person.id}: ${done.get(id)} ${id} is ${where ?? 'sent'} on the phone, and ${isAccepted ? '' : 'not '}accepted.`,
      );
  }
}
const notes = crowd.flatMap(({ phone, performed: done }) => {
  const rejected = new Set(phone.kept.map(({ operation }) => operation.id));
  return [...done].filter(([id, name]) => name === 'note.add' && !rejected.has(id));
}).length;
const [entries] = (await database('entries').where('body', 'like', '%"kind":"note"%').count({ count: '*' })) as {
  count: number;
}[];
if (Number(entries?.count) !== notes) broken.push(`${notes} notes were sent, and ${entries?.count} are there.`);
let unequal = 0;
for (const carried of crowd) {
  const keys = await differing(carried);
  if (keys.length === 0) continue;
  unequal += 1;
  if (unequal <= 5) broken.push(`${carried.person.id} shows otherwise than the server: ${keys.slice(0, 5).join()}.`);
}
say(
  `${performed} operations, of them ${refused} refused with a reason; ${notes} notes; ${unequal} phones differ from the server`,
);
say(broken.length === 0 ? 'Nothing lost, doubled or passed over.' : broken.slice(0, 20).join('\n'));
await database.destroy();
process.exit(broken.length === 0 ? (process.exitCode ?? 0) : 1);
