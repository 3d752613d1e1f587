import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { StoresScreen } from '../../src/features/stores/stores-screen';

export default function Stores(): ReactElement {
  const { find } = useLocalSearchParams<{ find?: string }>();
  return <StoresScreen key={find ?? ''} {...(find === undefined ? {} : { given: find })} />;
}
