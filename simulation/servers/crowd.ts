import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { asId, instantFromMillis, type OperationId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import { nextOn } from '@oilcan/core/finishing/plans';
import type { Change } from '@oilcan/core/records';
import { tableNames } from '@oilcan/core/registry';
import * as allOperations from '@oilcan/core/registry/operations';
import type { PullAnswer } from '@oilcan/core/sync';
import { newOperationId } from '@oilcan/core/testing';
import { machineClock } from '@oilcan/server/testing';
import { httpLink } from '../../app/src/data/server/http-link';
import { MemoryDatabase } from '../../app/src/data/database/memory-database';
import { noOtherWindows } from '../../app/src/data/database/other-windows';
import { Phone } from '../../app/src/data/phone/phone';
import type { Chance } from '../chance';
import { network, speakOver, type Way } from '../speaking';
import { personOf, worksOf } from './works';

/** A phone with its person, its line to the server, on which its session stands, and its clock. */
export interface Carried {
  readonly person: Person;
  readonly phone: Phone;
  readonly way: Way;
  /** By how many milliseconds its clock is ahead; somebody sets it now and then. */
  readonly clock: { ahead: number };
  /** Names of the operations that it performed, each by its id. */
  readonly performed: Map<OperationId, string>;
}

export async function carriedBy(index: number, address: string, cookie: string): Promise<Carried> {
  const person = personOf(index);
  const performed = new Map<OperationId, string>();
  const clock = { ahead: 0 };
  const carried: Carried = {
    person,
    way: (path, init) => network(`${address}${path}`, { ...init, headers: { ...init.headers, cookie } }),
    clock,
    performed,
    phone: new Phone({
      database: new MemoryDatabase(),
      server: httpLink,
      newDevice: randomUUID(),
      clocks: { wall: () => machineClock() + clock.ahead, running: () => performance.now() },
      deviceTime: instantFromMillis,
      newOperationId: (): OperationId => asId<OperationId>(newOperationId().replace(/^.{8}/, randomUUID().slice(0, 8))),
      others: noOtherWindows,
      rules: () => Promise.resolve(allOperations),
      laterTables: () => import('../../app/src/data/phone/later-tables'),
      planDates: () => nextOn,
      onChange: () => undefined,
      onUnforeseen: (error) => {
        process.stdout.write(
          `Unforeseen on a phone: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`,
        );
        process.exitCode = 1;
      },
    }),
  };
  await carried.phone.open();
  await carried.phone.signIn(person);
  return carried;
}

export const synchronize = ({ phone, way }: Carried): Promise<void> => speakOver(way, () => phone.synchronize());

/** Somebody does something: a note, a clock, a step, or a lead gives a job to somebody else. */
export async function act(carried: Carried, index: number, chance: Chance): Promise<void> {
  const { phone, person, performed } = carried;
  const works = worksOf(index);
  const workOrderId = works[chance.whole(0, works.length - 1)] ?? asId<WorkOrderId>('');
  if (chance.whole(1, 200) === 1) carried.clock.ahead = chance.whole(-1, 1) * 3_600_000;
  const isLead = person.roles.includes('lead');
  const made =
    isLead && chance.whole(1, 2) === 1
      ? await phone.performMaking('work.give', {
          workOrderId,
          personIds: [personOf(index - (index % 50) + chance.whole(1, 49)).id],
          crewId: null,
        } as never)
      : chance.whole(1, 4) === 1
        ? phone.view.peek('clocks', person.id) === undefined
          ? await phone.performMaking('clock.start', { workOrderId })
          : await phone.performMaking('clock.stop', {
              workOrderId: phone.view.peek('clocks', person.id)?.workOrderId ?? workOrderId,
              endedAt: null,
            })
        : await phone.performMaking('note.add', { workOrderId, text: `By ${person.id}` });
  const name = phone.kept.at(-1)?.operation.name ?? '';
  if (made.ok) performed.set(made.value, name);
}

/** Rows that a phone shows otherwise than the server would give them to a new one. */
export async function differing({ phone, way }: Carried): Promise<string[]> {
  const there = new Map<string, unknown>();
  for (let since = 0, hasMore = true; hasMore;) {
    const answer: PullAnswer = await speakOver(way, () =>
      httpLink.pull({ since, isFilling: true, device: null, tablesAfter: null }),
    );
    for (const { table, id, row } of answer.changes as Change[])
      if (row === null) there.delete(`${table}/${id}`);
      else there.set(`${table}/${id}`, row);
    ({ revision: since, hasMore } = answer);
  }
  const here = new Map<string, unknown>();
  for (const table of tableNames) for (const row of phone.view.peekAll(table)) here.set(`${table}/${row.id}`, row);
  const keys = new Set([...there.keys(), ...here.keys()]);
  return [...keys].filter((key) => !isDeepStrictEqual(there.get(key), here.get(key)));
}
