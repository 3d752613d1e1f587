import {
  addMinutes,
  asId,
  instantFromMillis,
  localDate,
  toMillis,
  type AssetId,
  type FileId,
  type Instant,
  type OperationId,
  type PersonId,
  type StepId,
  type StopId,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import type { Change } from '@oilcan/core/records';
import type { Person } from '@oilcan/core/plant/people';
import { nextOn, type Plan } from '@oilcan/core/finishing/plans';
import * as allOperations from '@oilcan/core/registry/operations';
import { FILE_PIECE_BYTES } from '@oilcan/core/sync';
import type { Hazard, IsolationPoint } from '@oilcan/core/orders/work';
import {
  aHazardRegister,
  anAsset,
  aPerson,
  aPlan,
  aStep,
  aStop,
  aWorkOrder,
  lea,
  noon,
  pointId,
  put,
  smallWorks,
} from '@oilcan/core/testing';
import { Phone } from '../app/src/data/phone/phone';
import { Windows } from '../app/src/data/testing/windows';
import { BatteryDatabase, BatteryDied } from './battery-database';
import { deedOf } from './deeds';
import { storesOfShift } from './store-deeds';
import { people, windowsOf, type MessageFate, type SimulatedEvent, type Who } from './history';
import { passedOver } from './passed-over';
import { SimulatedServer } from './simulated-server';

const persons: Readonly<Record<Who, Person>> = {
  ann: aPerson(),
  bob: aPerson({ id: asId<PersonId>('bob'), name: 'Bob' }),
  cleo: aPerson({ id: asId<PersonId>('cleo'), name: 'Cleo' }),
  lea,
};

/** Somebody with a phone. The storage outlives its windows, which are new ones after every reload. */
export interface Pocket {
  readonly who: Who;
  readonly person: Person;
  readonly storage: BatteryDatabase;
  windows: readonly Phone[];
  /** What the windows tell one another. */
  talk: Windows;
  /** Minutes that somebody set the phone's clock ahead. */
  ahead: number;
  /** Minutes that it slept, during which its running clock stood still. */
  asleep: number;
  /** Operations of which the phone said that they are kept, in their order. */
  readonly told: OperationId[];
  /** Those that took the place of a refused one, and its time. */
  readonly mended: Set<OperationId>;
}

const MINUTE = 60_000;
/** Bytes of a photo: more than one piece. */
const PHOTO_BYTES = FILE_PIECE_BYTES + 10;

/** One shift of several days: a server, phones, and what happens to them. */
export class Shift {
  readonly server: SimulatedServer;
  readonly pockets = new Map<Who, Pocket>();
  /** The numbers under which phones first showed what was raised or reported on them, by its id. */
  readonly numbers = new Map<string, string>();
  /** What phones refused because they took a number twice. */
  readonly takenTwice: string[] = [];
  /** What phones were told that they know, and did not have. */
  readonly passedOver: string[] = [];
  #minutes = 0;
  #operations = 0;
  /** The protocol that an application speaks which is loaded now. */
  #application = 1;
  #fates: MessageFate[] = [];

  private constructor(server: SimulatedServer) {
    this.server = server;
  }

  static async begin(): Promise<Shift> {
    const clock = { now: (): Instant => noon };
    const shift = new Shift(await SimulatedServer.start(startRows(), () => clock.now()));
    clock.now = () => shift.now();
    for (const who of people) {
      const pocket: Pocket = {
        who,
        person: persons[who],
        storage: new BatteryDatabase(),
        windows: [],
        talk: new Windows(),
        ahead: 0,
        asleep: 0,
        told: [],
        mended: new Set(),
      };
      shift.pockets.set(who, pocket);
      await shift.#restart(pocket);
      for (const window of pocket.windows) {
        await window.signIn(pocket.person);
        await window.synchronize();
      }
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
        if (event.isAsleep) for (const pocket of this.pockets.values()) pocket.asleep += event.minutes;
        return this.server.watch();
      case 'late copies arrive':
        return this.server.deliverLateCopies();
      case 'updates':
        if (event.what === 'server') this.server.protocol += 1;
        else this.#application += 1;
        return;
      case 'windows are deaf':
        this.#pocket(event.who).talk.isDeaf = event.isDeaf;
        return;
      case 'sets clock':
        this.#pocket(event.who).ahead = event.minutes;
        return;
      case 'battery':
        this.#pocket(event.who).storage.plan(event.death);
        return;
      case 'reloads':
        return this.#restart(this.#pocket(event.who));
      case 'synchronizes':
        this.#fates = [...event.fates];
        return this.#whilePowered(this.#pocket(event.who), (pocket) => windowOf(pocket, event.window).synchronize());
      case 'all synchronize':
        return this.#synchronizeAll();
      case 'server sets clock':
        return this.server.setClock(event.minutes);
      case 'does':
        return this.#whilePowered(this.#pocket(event.who), (pocket) => this.#do(pocket, event.what, event.choice));
    }
  }

  /** Everybody at once: what one sends is committed while another is being answered. */
  async #synchronizeAll(): Promise<void> {
    this.#fates = [];
    const pockets = [...this.pockets.values()];
    await Promise.all(
      pockets.map((each) =>
        this.#whilePowered(each, async (pocket) => {
          await Promise.all(pocket.windows.map((window) => window.synchronize()));
        }),
      ),
    );
    for (const { who, windows, person } of pockets)
      for (const window of windows)
        for (const id of await passedOver(this.server.database, window, person))
          this.passedOver.push(`${who} was told that they know all up to ${window.readUpTo}, and has not ${id}.`);
  }

  /** The end of all trouble: late copies arrive, batteries are charged, and everybody has signal until nothing moves. */
  async heal(): Promise<void> {
    this.#fates = [];
    this.#application = this.server.protocol = Math.max(this.#application, this.server.protocol);
    await this.server.deliverLateCopies();
    for (let round = 0; round < 3; round += 1) {
      for (const pocket of this.pockets.values()) {
        if (round === 0) await this.#restart(pocket);
        for (const window of pocket.windows) await window.synchronize();
      }
    }
  }

  async end(): Promise<void> {
    await this.server.close();
  }

  async #do(pocket: Pocket, what: string, choice: number): Promise<void> {
    const window = windowOf(pocket, choice);
    const refused = window.kept.filter(({ where }) => where === 'rejected');
    const one = refused[choice % Math.max(1, refused.length)];
    if (what === 'drop a refused one' || what === 'mend a refused one') {
      if (one?.where !== 'rejected') return;
      return what === 'mend a refused one'
        ? this.#mend(pocket, window, one.operation)
        : this.#drop(pocket, window, one.operation.id);
    }
    const deed = deedOf(what, choice, window.view, pocket.person, window.clock.now());
    if (deed === null) return;
    if (deed.name === 'photo.add') await this.#takePhoto(pocket, window, deed.args.fileId);
    const outcome = await window.perform(deed.name, deed.args);
    if (outcome.ok) this.#noteKept(pocket, window, false);
    else if (outcome.code === 'number_taken') this.takenTwice.push(`${pocket.person.id}: ${deed.name}`);
  }

  /** Whether the new one took its place is uncertain while the battery may die, so nothing is promised meanwhile. */
  async #mend(pocket: Pocket, window: Phone, { id, args }: Operation): Promise<void> {
    const place = forget(pocket, id);
    const outcome = await window.mend(id, args);
    const isNew = outcome.ok && !window.kept.some(({ operation }) => operation.id === id);
    if (isNew) this.#noteKept(pocket, window, true);
    else if (place >= 0) pocket.told.splice(place, 0, id);
  }

  async #drop(pocket: Pocket, window: Phone, id: OperationId): Promise<void> {
    forget(pocket, id);
    await window.dropRejected(id);
  }

  #noteKept(pocket: Pocket, window: Phone, isMended: boolean): void {
    const id = window.kept.at(-1)?.operation.id;
    if (id === undefined) return;
    pocket.told.push(id);
    const made = window.view.peek('workOrders', id) ?? window.view.peek('reports', id);
    if (made !== undefined) this.numbers.set(id, made.number);
    if (isMended) pocket.mended.add(id);
  }

  async #takePhoto(pocket: Pocket, window: Phone, id: FileId): Promise<void> {
    const about = { by: pocket.person.id, isSent: false, keptAt: window.clock.now() };
    await window.files.keep({ id, mediaType: 'image/jpeg', bytes: PHOTO_BYTES, ...about }, new Uint8Array(PHOTO_BYTES));
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
    const { isDeaf } = pocket.talk;
    pocket.talk = new Windows();
    pocket.talk.isDeaf = isDeaf;
    pocket.windows = Array.from({ length: windowsOf[pocket.who] }, () => this.#window(pocket));
    for (const window of pocket.windows) await window.open();
  }

  #window(pocket: Pocket): Phone {
    return new Phone({
      database: pocket.storage,
      server: this.server.linkOf(pocket.person, this.#application, () => this.#fates.shift() ?? 'arrives'),
      newDevice: pocket.who,
      clocks: {
        wall: () => toMillis(this.now()) + pocket.ahead * MINUTE,
        // Browsers count it in fractions of a millisecond.
        running: () => (this.#minutes - pocket.asleep) * MINUTE + this.#minutes / 7,
      },
      deviceTime: instantFromMillis,
      newOperationId: () => {
        this.#operations += 1;
        return asId<OperationId>(`01930000-0000-7000-8000-${this.#operations.toString(16).padStart(12, '0')}`);
      },
      others: pocket.talk.open(),
      rules: () => Promise.resolve(allOperations),
      laterTables: () => import('../app/src/data/phone/later-tables'),
      planDates: () => nextOn,
      onChange: () => undefined,
      onUnforeseen: (error) => {
        throw error;
      },
    });
  }

  #pocket(who: Who): Pocket {
    const pocket = this.pockets.get(who);
    if (pocket === undefined) throw new Error(`${who} is not on this shift.`);
    return pocket;
  }
}

/** Takes an operation out of what was told; gives the place where it stood, or -1. */
function forget(pocket: Pocket, id: OperationId): number {
  const place = pocket.told.indexOf(id);
  if (place >= 0) pocket.told.splice(place, 1);
  return place;
}

function windowOf(pocket: Pocket, choice: number): Phone {
  const window = pocket.windows[choice % pocket.windows.length];
  if (window === undefined) throw new Error(`${pocket.who} has no window open.`);
  return window;
}

/**
 * Three jobs of everybody and one of Ann's, with steps of every kind, hazards on one, points to isolate on three, and eight of
 * a part in a bin.
 */
function startRows() {
  const everybody = Object.values(persons).map(({ id }) => id);
  const limits = { alarmLow: null, alertLow: null, alertHigh: 75, alarmHigh: 85 };
  const isolation: readonly [IsolationPoint, IsolationPoint] = [
    { id: 'main', energy: 'electrical', device: 'Main switch', release: null, test: 'No voltage' },
    { id: 'oil', energy: 'hydraulic', device: 'Valve 3', release: 'Drain it', test: 'Gauge reads 0' },
  ];
  const hazards = [{ id: 'rotating', hazard: 'Drive starts', control: 'Lock out' }];
  return [
    ...smallWorks({ personIds: everybody }),
    put('people', persons.cleo),
    ...storesOfShift,
    put('hazardRegister', aHazardRegister({ hazards: [DANGER], isolation: [isolation[0]] })),
    put('assets', anAsset({ id: PUMP, name: 'Pump', tag: 'P1' })),
    put('plans', aPlan({ ...DAILY, personIds: everybody, startsOn: localDate(noon, 'Europe/Vienna') })),
    ...['w-1', 'w-2', 'w-3', 'w-4'].flatMap((id) => {
      const workOrderId = asId<WorkOrderId>(id);
      const step = (position: number, question: Parameters<typeof aStep>[1]) =>
        put('steps', aStep(position, question, { id: asId<StepId>(`${id}-s${position}`), workOrderId }));
      return [
        put(
          'workOrders',
          aWorkOrder({
            id: workOrderId,
            number: id.toUpperCase(),
            personIds: id === 'w-4' ? [persons.ann.id] : everybody,
            hazards: id === 'w-3' ? hazards : [],
            isolation: id === 'w-2' ? [] : isolation,
          }),
        ),
        step(1, { type: 'tick' }),
        step(2, { type: 'finding' }),
        step(3, { type: 'number', unit: '°C', decimals: 0, limits, pointId }),
        branchOf(id),
        ...(id === ROUND ? stopsOf(workOrderId) : []),
      ];
    }),
  ];
}

/** Asked where the second step of a work order was found faulty. */
function branchOf(id: string): Change {
  const [stepId, parentId] = [asId<StepId>(`${id}-s4`), asId<StepId>(`${id}-s2`)];
  const condition = { stepId: parentId, test: { is: 'faulty' } } as const;
  const given = { id: stepId, workOrderId: asId<WorkOrderId>(id), parentId, condition };
  return put('steps', aStep(4, { type: 'tick' }, given));
}

/** Comes round every day, its work order on the day itself; it owes nothing, so that it is finished. */
const DAILY: Partial<Plan> = {
  triggers: [{ kind: 'completion', every: 1, unit: 'day' }],
  kind: 'improvement',
  leadDays: 0,
};

/** What the hazard register says of the machine of all jobs. */
export const DANGER: Hazard = { id: 'starts', hazard: 'Drive can start', control: 'Lock out' };
/** Another machine, at a stop of the round. */
const PUMP = asId<AssetId>('pump');

/** The work order that is a round, and how many stops it has. */
export const ROUND = 'w-3';
export const STOPS = 3;

function stopsOf(workOrderId: WorkOrderId): Change[] {
  return Array.from({ length: STOPS }, (_, index): Change[] => {
    const stopId = asId<StopId>(`${workOrderId}-stop-${index + 1}`);
    const given = { id: asId<StepId>(`${stopId}-s1`), workOrderId, stopId };
    return [
      put('stops', aStop({ id: stopId, workOrderId, position: index + 1, ...(index === 1 ? { assetId: PUMP } : {}) })),
      put('steps', aStep(10 + index, { type: 'finding' }, given)),
    ];
  }).flat();
}
