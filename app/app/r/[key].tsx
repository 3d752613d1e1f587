import { Redirect, useLocalSearchParams } from 'expo-router';
import { useEffect, type ReactElement } from 'react';
import { reportLabelCode } from '@oilcan/core/plant/plant';
import { usePhone } from '../../src/data/store/store';

/**
 * Where the labels lead by which everybody may report. The phone of somebody who works here opens the machine; on any other the
 * page of the server is opened, past what this phone keeps of the application (`scripts/service-worker.mjs`).
 */
export default function ReportLabel(): ReactElement | null {
  const { key } = useLocalSearchParams<{ key: string }>();
  const phase = usePhone((state) => state.phase);
  const isTheirs = usePhone((state) => state.person !== null);
  useEffect(() => {
    if (phase !== 'opening' && !isTheirs) window.location.replace(`/r/${encodeURIComponent(key)}?for=everybody`);
  }, [phase, isTheirs, key]);
  if (!isTheirs) return null;
  return <Redirect href={`/scan?code=${encodeURIComponent(reportLabelCode(key))}`} />;
}
