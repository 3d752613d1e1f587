import { useEffect, useRef } from 'react';

/** What a key of a wide screen can ask for; whoever is on the screen answers. */
export type Command =
  | 'find'
  | 'next'
  | 'previous'
  | 'open'
  | 'clock'
  | 'pause'
  | 'shorthand'
  | 'undo'
  | 'finish'
  | 'accept'
  | 'handBack'
  | `record ${string}`;

const answerers = new Map<Command, readonly (() => void)[]>();

/** While the component is on the screen it answers this command; the newest of several does. */
export function useCommand(command: Command, answer: () => void): void {
  const latest = useRef(answer);
  useEffect(() => {
    latest.current = answer;
  });
  useEffect(() => {
    const answerer = (): void => latest.current();
    answerers.set(command, [...(answerers.get(command) ?? []), answerer]);
    return () => {
      answerers.set(
        command,
        (answerers.get(command) ?? []).filter((each) => each !== answerer),
      );
    };
  }, [command]);
}

/** Asks for it; tells whether anybody was there to answer. */
export function give(command: Command): boolean {
  const answer = answerers.get(command)?.at(-1);
  answer?.();
  return answer !== undefined;
}
