import type { ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRows } from '../../../data/store/store';
import { Section } from '../../../ui/layout/section';
import { ReportRow } from './report-row';
import { List } from '../../../ui/layout/list';

/** In a job's Prepare: who reported what it is about, with their pictures. */
export function WorkReports({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const reports = useRows('reports', 'work', work.id);
  if (reports.length === 0) return null;
  return (
    <Section title="Reported">
      <List label="Reports">
        {reports.map((report) => (
          <ReportRow key={report.id} report={report} />
        ))}
      </List>
    </Section>
  );
}
