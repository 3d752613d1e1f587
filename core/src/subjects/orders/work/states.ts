import type { Role } from '../../../operations/actor';
import type { WorkState } from './work-order';

export type Transition = 'start' | 'hold' | 'resume' | 'finish' | 'accept' | 'handBack' | 'drop';

interface TransitionRule {
  readonly from: readonly WorkState[];
  readonly to: WorkState;
  readonly roles: readonly Role[];
}

const anyoneAtWork: readonly Role[] = ['technician', 'lead'];
const leadOnly: readonly Role[] = ['lead'];

/** Every way in which a work order changes its state; there is no other. */
export const transitions: Readonly<Record<Transition, TransitionRule>> = {
  start: { from: ['ready'], to: 'underway', roles: anyoneAtWork },
  hold: { from: ['underway'], to: 'held', roles: anyoneAtWork },
  resume: { from: ['held'], to: 'underway', roles: anyoneAtWork },
  finish: { from: ['underway', 'held'], to: 'finished', roles: anyoneAtWork },
  accept: { from: ['finished'], to: 'accepted', roles: leadOnly },
  handBack: { from: ['finished'], to: 'underway', roles: leadOnly },
  drop: { from: ['ready', 'underway', 'held'], to: 'dropped', roles: leadOnly },
};

export function canChange(state: WorkState, transition: Transition): boolean {
  return transitions[transition].from.includes(state);
}

/** Whether nobody has to act on it any more: accepted or dropped. */
export function isClosed(state: WorkState): boolean {
  return state === 'accepted' || state === 'dropped';
}

/** Whether work can still be recorded: not finished, accepted or dropped. */
export function isOpen(state: WorkState): boolean {
  return state === 'ready' || state === 'underway' || state === 'held';
}
