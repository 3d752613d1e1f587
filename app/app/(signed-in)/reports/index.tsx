import type { ReactElement } from 'react';
import { piece } from '../../../src/ui/piece';

const ReportsScreen = piece(() =>
  import('../../../src/features/reported/reports-screen').then((module) => module.ReportsScreen),
);

export default function Reports(): ReactElement {
  return <ReportsScreen shown="toAnswer" />;
}
