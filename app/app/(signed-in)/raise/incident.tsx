import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import type { RaisedAt } from '../../../src/features/raising';
import { piece } from '../../../src/ui/piece';

const IncidentForm = piece(() =>
  import('../../../src/features/incident-reports/incident-form').then((module) => module.IncidentForm),
);

export default function Incident(): ReactElement {
  const {
    asset,
    place,
    words = '',
    raised,
  } = useLocalSearchParams<{ asset?: string; place?: string; words?: string; raised?: string }>();
  const at: RaisedAt =
    asset !== undefined
      ? { is: 'asset', id: asset as never }
      : place === undefined
        ? null
        : { is: 'place', id: place as never };
  return <IncidentForm at={at} words={words} raisedOn={raised} />;
}
