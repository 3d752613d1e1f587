import { amendLabor, amendNote, amendPart, withdrawEntry } from './amend-operations';
import { addLabor, startClock, stopClockFor, stopOwnClock } from './labor-operations';
import { giveWork } from './give-operations';
import { chooseNotices, followWork, seeNotices } from './notice-operations';
import { bindCode, unbindCode } from './code-operations';
import { recordIsolation } from './isolation-operations';
import { chooseKitList, shareKitList, tickKitLine } from './kit-list-operations';
import type { OperationDefinition } from './operation';
import { addPhoto } from './photo-operations';
import { addNote, addReading, answerStep, usePart } from './record-operations';
import {
  acceptWork,
  acknowledgeHazards,
  addHazard,
  dropWork,
  finishWork,
  handBackWork,
  holdWork,
  resumeWork,
  startWork,
} from './work-operations';

/** Every operation there is, by the name it is sent under. */
export const operations = {
  'work.acknowledge-hazards': acknowledgeHazards,
  'work.add-hazard': addHazard,
  'work.start': startWork,
  'work.hold': holdWork,
  'work.resume': resumeWork,
  'work.finish': finishWork,
  'work.accept': acceptWork,
  'work.hand-back': handBackWork,
  'work.drop': dropWork,
  'step.answer': answerStep,
  'clock.start': startClock,
  'clock.stop': stopOwnClock,
  'clock.stop-for': stopClockFor,
  'labor.add': addLabor,
  'labor.amend': amendLabor,
  'part.use': usePart,
  'part.amend': amendPart,
  'reading.add': addReading,
  'note.add': addNote,
  'photo.add': addPhoto,
  'note.amend': amendNote,
  'entry.withdraw': withdrawEntry,
  'isolation.record': recordIsolation,
  'code.bind': bindCode,
  'code.unbind': unbindCode,
  'kit-list.choose': chooseKitList,
  'kit-list.share': shareKitList,
  'kit-list.tick': tickKitLine,
  'work.give': giveWork,
  'work.follow': followWork,
  'notices.see': seeNotices,
  'notices.choose': chooseNotices,
} as const;

export type OperationName = keyof typeof operations;

type ArgsOfDefinition<D> = D extends OperationDefinition<infer Args> ? Args : never;

/** What an operation of a name takes. */
export type ArgsOf<N extends OperationName> = ArgsOfDefinition<(typeof operations)[N]>;

export function isOperationName(text: string): text is OperationName {
  return Object.hasOwn(operations, text);
}

/** The definition behind a name, with its arguments unknown until its schema has read them. */
export function definitionOf(name: OperationName): OperationDefinition<unknown> {
  return operations[name] as unknown as OperationDefinition<unknown>;
}
