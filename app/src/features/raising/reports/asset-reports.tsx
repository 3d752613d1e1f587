import { useMemo, type ReactElement } from 'react';
import type { Asset } from '@oilcan/core/plant/plant';
import { isOpenReport } from '@oilcan/core/raising/reports';
import { now, useRows, useSettings } from '../../../data/store/store';
import { Section } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { ReportRow } from './report-row';

const MOST_SHOWN = 5;

/** On a machine's page: what was reported of it, the open ones first; and that it was reported standing still, until somebody records it. */
export function AssetReports({ asset }: { readonly asset: Asset }): ReactElement | null {
  const reports = useRows('reports', 'asset', asset.id);
  const settings = useSettings(asset.siteId);
  const listed = useMemo(
    () => [...reports].sort((a, b) => Number(isOpenReport(b)) - Number(isOpenReport(a)) || (a.at < b.at ? 1 : -1)),
    [reports],
  );
  if (listed.length === 0) return null;
  const stopped = listed.find(({ state, condition }) => state === 'waiting' && condition === 'stopped');
  const isSaid = stopped !== undefined && asset.condition === 'running' && settings !== undefined;
  return (
    <Section title="Reported">
      {isSaid ? (
        <AppText as="label">
          Reported standing still since{' '}
          {sayMoment(stopped.since ?? stopped.at, now(), settings.zone, settings.language)}; nobody has recorded it yet.
        </AppText>
      ) : null}
      {listed.slice(0, MOST_SHOWN).map((report) => (
        <ReportRow key={report.id} report={report} />
      ))}
    </Section>
  );
}
