import { useEffect, useState } from 'react';
import { OilcanError } from '@oilcan/core/kernel';
import { sentenceFor } from '@oilcan/core/registry';
import { Unreachable } from '../server/server-link';

export type Answered<Answer> =
  { readonly is: 'looking' } | { readonly is: 'without signal' } | { readonly is: 'there'; readonly answer: Answer };

/**
 * What the server answers to a question that only it knows the answer of; asked anew whenever `again` changes.
 *
 * @param ask must be the same function as long as the question is
 */
export function useAnswer<Answer>(ask: () => Promise<Answer>, again = 0): Answered<Answer> {
  const [answered, setAnswered] = useState<Answered<Answer>>({ is: 'looking' });
  useEffect(() => {
    let isGone = false;
    ask().then(
      (answer) => {
        if (!isGone) setAnswered({ is: 'there', answer });
      },
      (error: unknown) => {
        if (!isPassingFailure(error)) throw error;
        if (!isGone) setAnswered((before) => (before.is === 'there' ? before : { is: 'without signal' }));
      },
    );
    return () => {
      isGone = true;
    };
  }, [ask, again]);
  return answered;
}

/** The sentence of what went wrong with a request; what is no such failure is thrown on. */
export function sentenceOfFailure(error: unknown): string {
  if (error instanceof OilcanError) return sentenceFor(error.code, error.values);
  if (error instanceof Unreachable) return 'There is no signal. Try again when there is.';
  throw error;
}

function isPassingFailure(error: unknown): boolean {
  return error instanceof OilcanError || error instanceof Unreachable;
}
