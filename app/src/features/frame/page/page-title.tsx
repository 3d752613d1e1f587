import { useContext, type ReactElement } from 'react';
import { Words } from '../../../ui/theme/words';
import { IsBesideMain } from './pane';

/** What a screen is about, at the head of its content: the one heading of the first level, where the screen is not beside another. */
export function PageTitle({ children }: { readonly children: string }): ReactElement {
  return (
    <Words as="title" level={useContext(IsBesideMain) ? 2 : 1}>
      {children}
    </Words>
  );
}
