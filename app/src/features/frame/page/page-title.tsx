import { useContext, type ReactElement } from 'react';
import { AppText } from '../../../ui/theme/app-text';
import { IsBesideMain } from './pane';

/** What a screen is about, at the head of its content: the one heading of the first level, where the screen is not beside another. */
export function PageTitle({ children }: { readonly children: string }): ReactElement {
  return (
    <AppText as="title" level={useContext(IsBesideMain) ? 2 : 1}>
      {children}
    </AppText>
  );
}
