import type { ReactElement } from 'react';
import { isMode, type FailureMode } from '@oilcan/core/recording/faults';
import type { EntryOf, WorkOrder } from '@oilcan/core/orders/work';
import { FaultForm } from './fault-form';

interface Props {
  readonly work: WorkOrder;
  readonly entry: EntryOf<'fault'>;
  readonly onClose: () => void;
}

/** Other codes in the place of those of a fault, or those that were not known when it was recorded. */
export function AmendFault({ work, entry: { id, assetId, content }, onClose }: Props): ReactElement {
  const { component, text, detection, activity, mechanism, cause } = content;
  const said = (code: string): string | null => (code === '' ? null : code);
  const start = {
    assetId,
    component,
    text,
    detection: detection === null ? null : String(detection),
    activity: activity === null ? null : String(activity),
    mechanism: said(mechanism),
    cause: said(cause),
  };
  const mode: FailureMode = isMode(content.mode) ? content.mode : 'OTH';
  return <FaultForm work={work} mode={mode} start={start} entryId={id} onClose={onClose} />;
}
