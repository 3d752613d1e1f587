import { Redirect } from 'expo-router';
import type { ReactElement } from 'react';
import { allWork } from './use-narrowing';
import { useShift } from './use-shift';

/** The address of whatever comes first: my list leads there, and a shortcut of the installed application. */
export function NextJob(): ReactElement | null {
  const shift = useShift(allWork);
  if (shift === null) return null;
  const first = shift.sections[0]?.data[0];
  return <Redirect href={first === undefined ? '/shift' : `/shift/${first.id}`} />;
}
