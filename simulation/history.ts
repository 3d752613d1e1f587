import { Chance } from './chance';
import { deedsOfReports } from './report-deeds';
import { deedsOfStores } from './store-deeds';

export const people = ['ann', 'bob', 'cleo', 'lea'] as const;
export type Who = (typeof people)[number];

/** Ann has Oilcan open in two windows. */
export const windowsOf: Readonly<Record<Who, number>> = { ann: 2, bob: 1, cleo: 1, lea: 1 };

/** What goes wrong with one message to the server. */
export const messageFates = [
  'arrives',
  'arrives',
  'arrives',
  'arrives',
  'lost',
  'answer lost',
  'doubled',
  'doubled late',
  'doubled late',
  'server dies before commit',
  'server dies after commit',
  'server fails',
  'server has no space',
] as const;
export type MessageFate = (typeof messageFates)[number];

/** When the battery dies, counted in writes to the phone's storage from now on. */
export interface BatteryDeath {
  readonly afterWrites: number;
  /** Whether that last write still made it to storage. */
  readonly isWritten: boolean;
}

/** One thing that happens. What somebody does is chosen by `choice` from what there is at that moment. */
export type SimulatedEvent =
  | { readonly type: 'does'; readonly who: Who; readonly what: string; readonly choice: number }
  | {
      readonly type: 'synchronizes';
      readonly who: Who;
      readonly window: number;
      readonly fates: readonly MessageFate[];
    }
  | { readonly type: 'reloads'; readonly who: Who }
  | { readonly type: 'battery'; readonly who: Who; readonly death: BatteryDeath }
  | { readonly type: 'windows are deaf'; readonly who: Who; readonly isDeaf: boolean }
  | { readonly type: 'all synchronize' }
  | { readonly type: 'sets clock'; readonly who: Who; readonly minutes: number }
  | { readonly type: 'server sets clock'; readonly minutes: number }
  | { readonly type: 'time passes'; readonly minutes: number; readonly isAsleep: boolean }
  | { readonly type: 'updates'; readonly what: 'server' | 'application' }
  | { readonly type: 'late copies arrive' };

/** What a person may try while working, legal or not; weighted by how often it stands here. */
export const deedsOfWork = [
  'note',
  'note',
  'photo',
  'photo',
  'voice',
  'draw on a photo',
  'tick',
  'tick',
  'tick',
  'untick',
  'wrong answer',
  'finding',
  'finding',
  'found good',
  'skip',
  'add steps',
  'minutes of a step',
  'put off stop',
  'leave out stop',
  'take up stop',
  'turn round',
  'stop the machine',
  'stop the machine',
  'end a stoppage',
  'run again',
  'fault',
  'make a share',
  'make a share',
  'change a share',
  'pass a share on',
  'dissolve a share',
  'number',
  'number',
  'use part',
  'use part',
  'use too much',
  'start clock',
  'stop clock',
  'start clock',
  'stop clock',
  'break',
  'start a mate’s clock',
  'type time of two',
  'time on no job',
  'take back time on no job',
  'say none',
  'put back',
  'plan a part',
  'put back',
  'fit a numbered part',
  'fit a numbered part',
  'take a numbered part out',
  'urgency',
  'due',
  'plan',
  'put off',
  'take up',
  'type time',
  'type bad time',
  'amend time',
  'amend part',
  'take back',
  'read',
  'hold',
  'resume',
  'finish',
  'finish',
  'accept',
  'hand back',
  'acknowledge',
  'acknowledge',
  'add hazard',
  'drop',
  'mend a refused one',
  'drop a refused one',
] as const;

/** And beside it. */
const deedsOfPreparing = [
  'isolate',
  'isolate',
  'isolate',
  'isolate',
  'take a lock off',
  'take another’s lock off',
  'take along',
  'take along',
  'go on with what is planned',
  'go on with what is planned',
  'go on with what is planned',
  'give',
  'give',
  'give',
  'raise',
  'raise',
  'say what is owed',
  'follow',
  'follow',
  'follow a machine',
  'see notices',
  'see notices',
  'choose notices',
  'bind a label',
  'stop another’s clock',
  'take a label off',
  'choose the kit list',
  'share the kit list',
  'tick the bag',
  'tick the bag',
] as const;

const allDeeds: readonly string[] = [...deedsOfWork, ...deedsOfPreparing, ...deedsOfReports, ...deedsOfStores];

const EVENTS = 70;

type Draw = (chance: Chance, who: Who, deeds: readonly string[]) => SimulatedEvent;
type Kinds = readonly (readonly [number, Draw])[];

const doing: Draw = (chance, who, deeds) => ({
  type: 'does',
  who,
  what: chance.pick(deeds),
  choice: chance.whole(0, 1_000_000),
});

const others: Kinds = [
  [
    26,
    (chance, who) => ({
      type: 'synchronizes',
      who,
      window: chance.whole(0, 1),
      fates: Array.from({ length: 5 }, () => chance.pick(messageFates)),
    }),
  ],
  [4, (_, who) => ({ type: 'reloads', who })],
  [
    5,
    (chance, who) => ({
      type: 'battery',
      who,
      death: { afterWrites: chance.whole(0, 3), isWritten: chance.next() < 0.5 },
    }),
  ],
  [2, (chance) => ({ type: 'windows are deaf', who: 'ann', isDeaf: chance.next() < 0.5 })],
  [2, (chance, who) => ({ type: 'sets clock', who, minutes: chance.whole(-3_000, 3_000) })],
  [6, (chance) => ({ type: 'time passes', minutes: chance.whole(1, 700), isAsleep: chance.next() < 0.5 })],
  [1, (chance) => ({ type: 'updates', what: chance.pick(['server', 'application']) })],
  [4, () => ({ type: 'late copies arrive' })],
];

/** What could happen when the histories of some seeds were found that a test still names, each with its share of a hundred. */
export const kindsOfBefore: Kinds = [[50, doing], ...others];

/** What can happen. */
const kindsOfToday: Kinds = [
  [46, doing],
  ...others,
  [3, () => ({ type: 'all synchronize' })],
  [1, (chance) => ({ type: 'server sets clock', minutes: chance.whole(-600, 600) })],
];

/** What a history is drawn from. */
export interface Drawn {
  readonly deeds?: readonly string[];
  readonly kinds?: Kinds;
}

/** The events of a seed; drawn from something else, it is another history. */
export function historyOf(seed: number, { deeds = allDeeds, kinds = kindsOfToday }: Drawn = {}): SimulatedEvent[] {
  const chance = new Chance(seed);
  return Array.from({ length: EVENTS }, (): SimulatedEvent => {
    const who = chance.pick(people);
    let roll = chance.next() * 100;
    const kind = kinds.find(([share]) => (roll -= share) < 0) ?? kinds[0];
    if (kind === undefined) throw new Error('Nothing can happen.');
    return kind[1](chance, who, deeds);
  });
}
