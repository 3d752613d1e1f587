import {
  addMinutes,
  asId,
  type Instant,
  type OperationId,
  type Person,
  type PersonId,
  type StepId,
  type WorkOrderId,
} from '@oilcan/core';
import { aPerson, aStep, aWorkOrder, lea, noon, pointId, put, smallWorks } from '@oilcan/core/testing';
import { Phone } from '../app/src/data/phone';
import { BatteryDatabase, BatteryDied } from './battery-database';
import { deedOf } from './deeds';
import { people, type MessageFate, type SimulatedEvent, type Who } from './history';
import { SimulatedServer } from './simulated-server';

const persons: Readonly<Record<Who, Person>> = {
  ann: aPerson(),
  bob: aPerson({ id: asId<PersonId>('bob'), name: 'Bob' }),
  cleo: aPerson({ id: asId<PersonId>('cleo'), name: 'Cleo' }),
  lea,
};

/** Somebody with a phone. The storage outlives the phone, which is a new one after every reload. */
export interface Pocket {
  readonly person: Person;
  readonly storage: BatteryDatabase;
  phone: Phone;
  /** Operations of which the phone said that they are kept. */
  readonly told: OperationId[];
}

/** One shift of several days: a server, phones, and what happens to them. */
export class Shift {
  readonly server: SimulatedServer;
  readonly pockets = new Map<Who, Pocket>();
  #minutes = 0;
  #operations = 0;
  #fates: MessageFate[] = [];

  private constructor(server: SimulatedServer) {
    this.server = server;
  }

  static async begin(): Promise<Shift> {
    const clock = { now: (): Instant => noon };
    const shift = new Shift(await SimulatedServer.start(startRows(), () => clock.now()));
    clock.now = () => shift.now();
    for (const who of people) {
      const storage = new BatteryDatabase();
      const person = persons[who];
      const pocket: Pocket = { person, storage, phone: shift.#phone(person, storage), told: [] };
      shift.pockets.set(who, pocket);
      await pocket.phone.open();
      await pocket.phone.signIn(person);
      await pocket.phone.synchronize();
    }
    return shift;
  }

  now(): Instant {
    return addMinutes(noon, this.#minutes);
  }

  async play(event: SimulatedEvent): Promise<void> {
    this.#minutes += 1;
    switch (event.type) {
      case 'time passes':
        this.#minutes += event.minutes;
        return;
      case 'late copies arrive':
        return this.server.deliverLateCopies();
      case 'battery':
        this.#pocket(event.who).storage.plan(event.death);
        return;
      case 'reloads':
        return this.#restart(this.#pocket(event.who));
      case 'synchronizes':
        this.#fates = [...event.fates];
        return this.#whilePowered(this.#pocket(event.who), (pocket) => pocket.phone.synchronize());
      case 'does':
        return this.#whilePowered(this.#pocket(event.who), (pocket) => this.#do(pocket, event.what, event.choice));
    }
  }

  /** The end of all trouble: late copies arrive, batteries are charged, and everybody has signal until nothing moves. */
  async heal(): Promise<void> {
    this.#fates = [];
    await this.server.deliverLateCopies();
    for (let round = 0; round < 3; round += 1) {
      for (const pocket of this.pockets.values()) {
        if (round === 0) await this.#restart(pocket);
        await pocket.phone.synchronize();
      }
    }
  }

  async end(): Promise<void> {
    await this.server.database.destroy();
  }

  async #do(pocket: Pocket, what: string, choice: number): Promise<void> {
    const deed = deedOf(what, choice, pocket.phone.view, pocket.person, this.now());
    if (deed === null) return;
    const outcome = await pocket.phone.perform(deed.name, deed.args);
    const kept = pocket.phone.kept.at(-1);
    if (outcome.ok && kept !== undefined) pocket.told.push(kept.operation.id);
  }

  async #whilePowered(pocket: Pocket, work: (pocket: Pocket) => Promise<void>): Promise<void> {
    try {
      await work(pocket);
    } catch (error) {
      if (!(error instanceof BatteryDied)) throw error;
    }
    if (pocket.storage.isDead) await this.#restart(pocket);
  }

  async #restart(pocket: Pocket): Promise<void> {
    pocket.storage.charge();
    pocket.phone = this.#phone(pocket.person, pocket.storage);
    await pocket.phone.open();
  }

  #phone(person: Person, database: BatteryDatabase): Phone {
    return new Phone({
      database,
      server: this.server.linkOf(person, () => this.#fates.shift() ?? 'arrives'),
      device: person.id,
      now: () => this.now(),
      deviceTime: () => this.now(),
      newOperationId: () => {
        this.#operations += 1;
        return asId<OperationId>(`01930000-0000-7000-8000-${this.#operations.toString(16).padStart(12, '0')}`);
      },
      onChange: () => undefined,
    });
  }

  #pocket(who: Who): Pocket {
    const pocket = this.pockets.get(who);
    if (pocket === undefined) throw new Error(`${who} is not on this shift.`);
    return pocket;
  }
}

/** Three jobs of everybody, with steps of every kind, hazards on one, and eight of a part in a bin. */
function startRows() {
  const everybody = Object.values(persons).map(({ id }) => id);
  const limits = { alarmLow: null, alertLow: null, alertHigh: 75, alarmHigh: 85 };
  const hazards = [{ id: 'rotating', hazard: 'Drive starts', precaution: 'Lock out' }];
  return [
    ...smallWorks({ personIds: everybody }),
    put('people', persons.cleo),
    ...['w-1', 'w-2', 'w-3'].flatMap((id) => {
      const workOrderId = asId<WorkOrderId>(id);
      const step = (position: number, question: Parameters<typeof aStep>[1]) =>
        put('steps', aStep(position, question, { id: asId<StepId>(`${id}-s${position}`), workOrderId }));
      return [
        put(
          'workOrders',
          aWorkOrder({
            id: workOrderId,
            number: id.toUpperCase(),
            personIds: everybody,
            hazards: id === 'w-3' ? hazards : [],
          }),
        ),
        step(1, { type: 'tick' }),
        step(2, { type: 'verdict' }),
        step(3, { type: 'number', unit: '°C', decimals: 0, limits, pointId }),
      ];
    }),
  ];
}
