import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../../src/ui/loading/lazy-component';

const IncidentScreen = lazyComponent(() =>
  import('../../../../src/features/raising/incidents/incident-screen').then((module) => module.IncidentScreen),
);

export default function OneIncident(): ReactElement {
  const { incident } = useLocalSearchParams<{ incident: string }>();
  return <IncidentScreen incidentId={incident} />;
}
