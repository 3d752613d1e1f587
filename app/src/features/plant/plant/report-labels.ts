import { LABEL_KEY_LENGTH, labelKeyFrom, type ReportLabel } from '@oilcan/core/raising/labels';
import { reportLabelText, type Asset } from '@oilcan/core/plant/plant';
import type { Label } from '@oilcan/paper/label-formats';
import { peekRows } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';

/** The label of a machine that leads somewhere, if one was printed. */
function openLabelOf(labels: readonly ReportLabel[]): ReportLabel | undefined {
  return labels.find(({ withdrawn }) => withdrawn === null);
}

/** Labels by which everybody may report: of each machine the one that it has, or a new one. Null where that was refused. */
export async function labelsToReport(assets: readonly Asset[]): Promise<readonly Label[] | null> {
  const labels: Label[] = [];
  for (const { id: assetId, tag, name } of assets) {
    let key = openLabelOf(peekRows('reportLabels', 'asset', assetId))?.id;
    if (key === undefined) {
      key = labelKeyFrom(crypto.getRandomValues(new Uint8Array(LABEL_KEY_LENGTH)));
      if (!(await performOrSay('report-label.open', { key, assetId, placeId: null }))) return null;
    }
    labels.push({ code: reportLabelText(window.location.origin, key), headline: tag, detail: name });
  }
  return labels;
}
