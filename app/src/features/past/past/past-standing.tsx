import type { ReactElement } from 'react';
import { sentenceFor } from '@oilcan/core/registry';
import type { Past } from '../../../data/queries/use-past';
import { Words } from '../../../ui/theme/words';

/** In the place of a past that is not there: why. */
export function PastStanding({ past }: { readonly past: Exclude<Past, { is: 'here' }> }): ReactElement {
  switch (past.is) {
    case 'reading':
      return <Words soft>Reading the past …</Words>;
    case 'without signal':
      return <Words soft>Its past is not on this phone. It comes when there is signal.</Words>;
    case 'refused':
      return <Words>{sentenceFor(past.why.code, past.why.values)}</Words>;
    case 'damaged':
      return <Words>What came of its past cannot be read. Look again when there is better signal.</Words>;
  }
}
