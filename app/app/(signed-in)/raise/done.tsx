import { Redirect, useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

const GapsScreen = lazyComponent(() =>
  import('../../../src/features/raising/already-done/gaps-screen').then((module) => module.GapsScreen),
);

/** What is still to be said of work that was written down as done. */
export default function Gaps(): ReactElement {
  const { work } = useLocalSearchParams<{ work?: string }>();
  return work === undefined ? <Redirect href="/raise?way=done" /> : <GapsScreen workOrderId={work} />;
}
