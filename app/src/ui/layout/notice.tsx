import { useEffect, useMemo, useState, type ReactElement } from 'react';
import { lazyComponent } from '../loading/lazy-component';
import { useNotice, type NoticeUndo } from '../state/use-notice';

const NoticeSnackbar = lazyComponent(() => import('./notice-snackbar').then((module) => module.NoticeSnackbar));
/** After the first screen, so that it is there with the first notice, signal or not. */
const LATER_MILLISECONDS = 1_000;

interface Props {
  /** What takes back what a notice tells of, asked for when one shows. */
  readonly undoOf: () => NoticeUndo | null;
  /** Whether somebody is at work: before that there is rarely anything to say, and its code is not loaded ahead. */
  readonly isAtWork: boolean;
}

/** Shows the sentence for a while. */
export function NoticeBar({ undoOf, isAtWork }: Props): ReactElement | null {
  const { text, open, clear } = useNotice();
  const [isThere, setIsThere] = useState(false);
  useEffect(() => {
    if (isThere || (!isAtWork && text === null)) return undefined;
    const timer = setTimeout(() => {
      NoticeSnackbar.load().then(
        () => setIsThere(true),
        () => undefined,
      );
    }, LATER_MILLISECONDS);
    return () => clearTimeout(timer);
    // Without signal it is tried again with each notice.
  }, [isThere, text, isAtWork]);
  const undo = useMemo(() => (text === null ? null : undoOf()), [text, undoOf]);
  if (!isThere) return null;
  return <NoticeSnackbar text={text} undo={undo} onOpen={open} onDismiss={clear} />;
}
