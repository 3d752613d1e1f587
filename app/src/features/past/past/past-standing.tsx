import type { ReactElement } from 'react';
import { sentenceFor } from '@oilcan/core/registry';
import type { Past } from '../../../data/queries/use-past';
import { AppText } from '../../../ui/theme/app-text';

/** In the place of a past that is not there: why. */
export function PastStanding({ past }: { readonly past: Exclude<Past, { is: 'here' }> }): ReactElement {
  switch (past.is) {
    case 'reading':
      return <AppText soft>Reading the past …</AppText>;
    case 'without signal':
      return <AppText soft>Its past is not on this phone. It comes when there is signal.</AppText>;
    case 'refused':
      return <AppText>{sentenceFor(past.why.code, past.why.values)}</AppText>;
    case 'damaged':
      return <AppText>What came of its past cannot be read. Look again when there is better signal.</AppText>;
  }
}
