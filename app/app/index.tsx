import { Redirect } from 'expo-router';
import type { ReactElement } from 'react';
import { usePhone } from '../src/data/store/store';
import { beginOf } from '../src/features/frame/page/places';

export default function Start(): ReactElement | null {
  const phase = usePhone((state) => state.phase);
  const person = usePhone((state) => state.person);
  if (phase === 'opening') return null;
  return <Redirect href={person === null ? '/sign-in' : beginOf(person)} />;
}
