import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { piece } from '../../../../src/ui/loading/piece';

const IncidentScreen = piece(() =>
  import('../../../../src/features/raising/incidents/incident-screen').then((module) => module.IncidentScreen),
);

export default function OneIncident(): ReactElement {
  const { incident } = useLocalSearchParams<{ incident: string }>();
  return <IncidentScreen incidentId={incident} />;
}
