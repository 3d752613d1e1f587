import type { ReactElement } from 'react';
import { focusMain } from '../../../ui/focus/keep-focus';

/** The first thing that the tab key comes to, and seen only then: past the head and the places to what the screen is for. */
export function SkipToMain(): ReactElement {
  return (
    <a
      href="#main"
      className="skip"
      onClick={(event) => {
        event.preventDefault();
        focusMain();
      }}
    >
      To the content
    </a>
  );
}
