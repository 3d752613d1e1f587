import { useCallback, useEffect, useRef, useState } from 'react';
import { OilcanError } from '@oilcan/core/kernel';
import type { LoggedOperation } from '@oilcan/core/sync';
import { httpLink } from '../../../data/server/http-link';
import { Unreachable } from '../../../data/server/server-link';

/** A file with more than this nobody reads. */
const MOST_SAVED = 5_000;

interface Log {
  readonly is: 'looking' | 'there' | 'without signal';
  readonly operations: readonly LoggedOperation[];
  /** Fetches older ones, where there are. */
  readonly more: () => void;
}

interface Standing {
  readonly question: string;
  readonly is: Log['is'];
  readonly operations: readonly LoggedOperation[];
  readonly before: string | null;
}

const begun = (question: string): Standing => ({ question, is: 'looking', operations: [], before: null });

/** What was done, page by page; anew for another question. */
export function useLog(question: string): Log {
  const [standing, setStanding] = useState(() => begun(question));
  const isAsking = useRef(false);
  const fetchFrom = useCallback(
    async (before: string | null): Promise<void> => {
      isAsking.current = true;
      const page = await pageOf(question, before);
      isAsking.current = false;
      setStanding((now) => {
        const operations = now.question === question && before !== null ? now.operations : [];
        if (page === null) return { ...begun(question), is: 'without signal', operations };
        return { question, is: 'there', operations: [...operations, ...page.operations], before: page.before };
      });
    },
    [question],
  );
  useEffect(() => {
    setStanding(begun(question));
    void fetchFrom(null);
  }, [question, fetchFrom]);
  const { before } = standing;
  return {
    is: standing.is,
    operations: standing.operations,
    more: () => {
      if (before !== null && !isAsking.current) void fetchFrom(before);
    },
  };
}

/** All that was done, up to a limit; null without signal. */
export async function everythingLogged(
  question: string,
): Promise<{ readonly operations: readonly LoggedOperation[]; readonly isWhole: boolean } | null> {
  const operations: LoggedOperation[] = [];
  for (let before: string | null = null; ;) {
    const page = await pageOf(question, before);
    if (page === null) return null;
    operations.push(...page.operations);
    before = page.before;
    if (before === null || operations.length >= MOST_SAVED) return { operations, isWhole: before === null };
  }
}

async function pageOf(
  question: string,
  before: string | null,
): Promise<Awaited<ReturnType<typeof httpLink.log>> | null> {
  const asked = new URLSearchParams(question);
  if (before !== null) asked.set('before', before);
  try {
    return await httpLink.log(asked.toString());
  } catch (error) {
    if (error instanceof Unreachable || error instanceof OilcanError) return null;
    throw error;
  }
}
