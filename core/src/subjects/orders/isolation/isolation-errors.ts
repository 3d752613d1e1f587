import { defineError } from '../../../kernel/errors/catalogue';

/** What has to be done first when locking out. */
const firstActWords: Readonly<Record<string, string>> = {
  shutDown: 'shut the machine down',
  lock: 'put the locks on',
  release: 'let the stored energy go',
  test: 'test it',
  unlock: 'take the lock off',
};

export const isolationErrors = {
  isolation_out_of_order: defineError(
    409,
    (v) => `First ${firstActWords[String(v['first'])] ?? 'do what comes before'}: locking out goes in its order.`,
  ),
  lock_of_another: defineError(
    403,
    'A lock comes off by the hand that put it on. If that person is gone, ask the lead.',
  ),
  lock_reason_missing: defineError(400, 'Say why you take off the lock of somebody else.'),
};

type IsolationErrors = typeof isolationErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends IsolationErrors {}
}
