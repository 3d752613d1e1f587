import { Redirect, useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';

/** Where the QR codes of our own labels lead, whatever camera read them. */
export default function Labelled(): ReactElement {
  const { code } = useLocalSearchParams<{ code: string }>();
  return <Redirect href={`/scan?code=${encodeURIComponent(code)}`} />;
}
