import type { ReactElement } from 'react';
import type { Asset } from '@oilcan/core/plant/plant';
import { now, useSettings } from '../../../data/store/store';
import { useOperation } from '../../../data/store/use-operation';
import { FormRefusal } from '../../../forms/form-refusal';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { conditionWords } from '../../../words/plant-words';

interface Props {
  readonly asset: Asset;
  /** To a further stoppage; left out where none can be recorded. */
  readonly onAnother?: () => void;
  readonly onClose: () => void;
}

/** A machine that is out: one press says that it runs again, and ends every stoppage of it that lasts. */
export function OutNow({ asset, onAnother, onClose }: Props): ReactElement {
  const settings = useSettings(asset.siteId);
  const { run, refusal, errorAt } = useOperation();
  const runs = async (): Promise<void> => {
    if (await run('asset.run-again', { assetId: asset.id, at: null }, `${asset.name} runs again.`)) onClose();
  };
  const since = settings === undefined ? '' : sayMoment(asset.conditionSince, now(), settings.zone, settings.language);
  return (
    <BottomSheet
      title={conditionWords[asset.condition]}
      aside={asset.name}
      onClose={onClose}
      foot={<Button rank="primary" word="It runs again" onPress={() => void runs()} />}
    >
      <AppText>
        {asset.name} {asset.condition === 'reduced' ? 'runs, but not fully' : 'stands still'} since {since}. Once it
        runs again, no stoppage of it lasts any more, on whatever job it was recorded.
      </AppText>
      <FormRefusal sentence={errorAt(refusal?.field ?? '')} />
      {onAnother === undefined ? null : <Button word="Another stoppage" onPress={onAnother} />}
    </BottomSheet>
  );
}
