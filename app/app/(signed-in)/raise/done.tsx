import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { piece } from '../../../src/ui/piece';

const DoneScreen = piece(() =>
  import('../../../src/features/already-done/done-screen').then((module) => module.DoneScreen),
);
const GapsScreen = piece(() =>
  import('../../../src/features/already-done/gaps-screen').then((module) => module.GapsScreen),
);

export default function AlreadyDone(): ReactElement {
  const {
    asset,
    words = '',
    work,
    raised,
  } = useLocalSearchParams<{ asset?: string; words?: string; work?: string; raised?: string }>();
  return work === undefined ? (
    <DoneScreen assetId={asset} words={words} raisedOn={raised} />
  ) : (
    <GapsScreen workOrderId={work} />
  );
}
