import { useState } from 'react';
import type { Refusal } from '@oilcan/core/operations';
import { sentenceFor } from '@oilcan/core/registry';
import type { ArgsOf, OperationName } from '@oilcan/core/registry/operations';
import { useNotice } from '../../ui/state/use-notice';
import { perform } from './store';

interface Performing {
  /** Does it; tells whether it was taken. What was refused stands in `refusal`. */
  readonly run: <N extends OperationName>(name: N, args: ArgsOf<N>, kept?: string) => Promise<boolean>;
  readonly refusal: Refusal | null;
  /** The refusal as a sentence, if it is about this field (or about none). */
  readonly errorAt: (field: string) => string | null;
}

/** Doing operations from a screen: the sentence of a refusal at its field, a short notice otherwise. */
export function useOperation(): Performing {
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const say = useNotice((state) => state.say);
  return {
    refusal,
    run: async (name, args, kept) => {
      const outcome = await perform(name, args);
      setRefusal(outcome.ok ? null : outcome);
      if (outcome.ok && kept !== undefined) say(kept);
      return outcome.ok;
    },
    errorAt: (field) => {
      if (refusal === null || (refusal.field !== null && refusal.field !== field)) return null;
      return sentenceFor(refusal.code, refusal.values);
    },
  };
}

/** Does an operation that has no form of its own; a refusal becomes a notice. */
export async function performOrSay<N extends OperationName>(name: N, args: ArgsOf<N>): Promise<boolean> {
  const outcome = await perform(name, args);
  if (!outcome.ok) sayRefused(outcome);
  return outcome.ok;
}

/** Says as a notice why something was refused. */
export function sayRefused({ code, values }: Refusal): void {
  useNotice.getState().say(sentenceFor(code, values));
}
