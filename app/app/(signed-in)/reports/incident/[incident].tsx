import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { piece } from '../../../../src/ui/piece';

const IncidentScreen = piece(() =>
  import('../../../../src/features/incident-reports/incident-screen').then((module) => module.IncidentScreen),
);

export default function OneIncident(): ReactElement {
  const { incident } = useLocalSearchParams<{ incident: string }>();
  return <IncidentScreen incidentId={incident} />;
}
