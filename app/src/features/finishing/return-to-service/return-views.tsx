import type { ReactElement } from 'react';
import { signedBy } from '@oilcan/core/kernel';
import type { EntryContents } from '@oilcan/core/orders/work';
import { Drawn } from '../../../ui/drawn/drawn';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';
import { joined } from '../../../words/joined';

interface Props {
  readonly content: EntryContents['returned'];
  readonly isSmall?: boolean;
}

function SignedPicture({ content: { signature }, isSmall = false }: Props): ReactElement {
  return <Drawn path={signature.path} name={signature.name} width={isSmall ? 64 : 240} />;
}

const entries: EntryViewsNamed<'given' | 'returned'> = {
  given: {
    ...inWords,
    group: 'state',
    dock: null,
    say: ({ content: { from, condition, where } }) => ({
      headline: `Machine handed over to maintenance by ${from}`,
      detail: joined([condition, where]),
    }),
  },
  returned: {
    ...inWords,
    group: 'state',
    dock: null,
    say: ({ content: { condition, reservations, signature } }) => ({
      headline: `Back in service, taken by ${signedBy(signature)}`,
      detail: joined([condition, reservations === '' ? '' : `Limits on its use: ${reservations}`]),
    }),
    Picture: SignedPicture,
  },
};

const operations: OperationViewsNamed<'machine.give' | 'machine.return'> = {
  'machine.give': {
    say: ({ from }) => `Machine handed over to maintenance by ${from}`,
    fields: { from: 'Who gives it', condition: 'How it is', where: 'Where it is' },
  },
  'machine.return': {
    say: ({ name, path }) => `Back in service, taken by ${signedBy({ name, path })}`,
    fields: { condition: 'How it is', reservations: 'Limits on its use' },
  },
};

export const returnViews = { entries, operations };
