import { Chance } from './chance';

export const people = ['ann', 'bob', 'cleo', 'lea'] as const;
export type Who = (typeof people)[number];

/** What goes wrong with one message to the server. */
export const messageFates = [
  'arrives',
  'arrives',
  'arrives',
  'lost',
  'answer lost',
  'doubled',
  'doubled late',
  'server dies before commit',
  'server dies after commit',
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
  | { readonly type: 'synchronizes'; readonly who: Who; readonly fates: readonly MessageFate[] }
  | { readonly type: 'reloads'; readonly who: Who }
  | { readonly type: 'battery'; readonly who: Who; readonly death: BatteryDeath }
  | { readonly type: 'time passes'; readonly minutes: number }
  | { readonly type: 'late copies arrive' };

/** Everything a person may try, legal or not; weighted by how often it stands here. */
const deeds = [
  'note',
  'note',
  'tick',
  'tick',
  'tick',
  'untick',
  'wrong answer',
  'verdict',
  'number',
  'use part',
  'use part',
  'use too much',
  'start clock',
  'stop clock',
  'start clock',
  'stop clock',
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
  'drop',
] as const;

const EVENTS = 70;

/** The events of a seed. */
export function historyOf(seed: number): SimulatedEvent[] {
  const chance = new Chance(seed);
  return Array.from({ length: EVENTS }, (): SimulatedEvent => {
    const who = chance.pick(people);
    const roll = chance.next();
    if (roll < 0.55) return { type: 'does', who, what: chance.pick(deeds), choice: chance.whole(0, 1_000_000) };
    if (roll < 0.82)
      return { type: 'synchronizes', who, fates: Array.from({ length: 4 }, () => chance.pick(messageFates)) };
    if (roll < 0.87) return { type: 'reloads', who };
    if (roll < 0.92)
      return { type: 'battery', who, death: { afterWrites: chance.whole(0, 3), isWritten: chance.next() < 0.5 } };
    if (roll < 0.98) return { type: 'time passes', minutes: chance.whole(1, 700) };
    return { type: 'late copies arrive' };
  });
}
