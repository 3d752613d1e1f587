import { defineError, type ErrorValues } from '../../kernel/errors/catalogue';

/** What stands in the way, by its counts: “2 steps and the time are”. */
function owedWords(values: ErrorValues): string {
  const count = (name: string): number => Number(values[name] ?? 0);
  const some = (name: string, one: string, several: string): string[] =>
    count(name) === 0 ? [] : [count(name) === 1 ? one : `${count(name)} ${several}`];
  const words = [
    ...some('steps', 'one step', 'steps'),
    ...some('shares', 'the share of a mate', 'shares of mates'),
    ...some('times', 'the time', 'times'),
    ...some('codes', 'cause and work of a fault', 'faults without cause or work'),
    ...some('clocks', 'a running clock', 'running clocks'),
    ...some('locks', 'a lock that is on', 'locks that are on'),
  ];
  const total = ['steps', 'shares', 'times', 'codes', 'clocks', 'locks'].reduce((sum, name) => sum + count(name), 0);
  const last = words.pop() ?? 'something';
  return `${words.length === 0 ? last : `${words.join(', ')} and ${last}`} ${total > 1 ? 'are' : 'is'}`;
}

export const lifecycleErrors = {
  handed_back_unseen: defineError(
    409,
    (v) => `${v['number']} was handed back while you had no signal. Read why, then finish it again.`,
  ),
  not_finished_owed: defineError(409, (v) => `Not finished: ${owedWords(v)} still owed.`),
  not_accepted_owed: defineError(409, (v) => `Not accepted: ${owedWords(v)} still there. Have it seen to first.`),
  not_dropped_owed: defineError(409, (v) => `Not dropped: ${owedWords(v)} still there. Have it seen to first.`),
};

type LifecycleErrors = typeof lifecycleErrors;
declare module '../../kernel/errors/catalogue' {
  interface ErrorCodes extends LifecycleErrors {}
}
