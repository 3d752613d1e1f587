import { retryDelay } from '@oilcan/core/sync';

/** What news come over: the browser's own line, or a stand-in. */
type Line = Pick<EventSource, 'addEventListener' | 'close' | 'readyState'>;

interface NewsLineParts {
  readonly open: () => Line;
  readonly onNews: () => void;
  /** The line stands, for the first time or again: something may have been missed. */
  readonly onOpen: () => void;
}

/** `EventSource.CLOSED`: the browser gave it up, and does not try again by itself. */
const GIVEN_UP = 2;

/**
 * A line to the server's news. A line that breaks is mended by the browser; one that was answered with something that is no news
 * (a 502, the page of a portal) it gives up, and it is opened anew here, ever more rarely. Gives what ends it.
 */
export function openNewsLine({ open, onNews, onOpen }: NewsLineParts): () => void {
  let failures = 0;
  let isOver = false;
  let line: Line | undefined;
  let next: ReturnType<typeof setTimeout> | undefined;
  const begin = (): void => {
    const opened = open();
    line = opened;
    opened.addEventListener('news', onNews);
    opened.addEventListener('open', () => {
      failures = 0;
      onOpen();
    });
    opened.addEventListener('error', () => {
      if (isOver || opened !== line || opened.readyState !== GIVEN_UP) return;
      failures += 1;
      line = undefined;
      next = setTimeout(begin, retryDelay(failures, Math.random()));
    });
  };
  begin();
  return () => {
    isOver = true;
    clearTimeout(next);
    line?.close();
  };
}
