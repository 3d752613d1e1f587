import type { ReactElement } from 'react';
import type { BinId } from '@oilcan/core/kernel';
import { useRow } from '../../../data/store/store';
import { Choice } from '../../../ui/fields/choice';
import { binName } from '../../../words/amounts';

interface BinChoiceProps {
  readonly binId: BinId;
  readonly isChosen: boolean;
  readonly onPress: () => void;
}

/** A bin that something can be put into, with its store. */
export function BinChoice({ binId, isChosen, onPress }: BinChoiceProps): ReactElement {
  const bin = useRow('bins', binId);
  const store = useRow('stores', bin?.storeId);
  return <Choice word={`${store?.name ?? ''} ${binName(bin)}`.trim()} isChosen={isChosen} onPress={onPress} />;
}
