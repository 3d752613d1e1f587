import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiDraw, mdiImageOutline } from '@mdi/js';
import type { EntryOf, WorkOrder } from '@oilcan/core/orders/work';
import { useRow, useSettings, useTable, now } from '../../../data/store/store';
import { useOperation } from '../../../data/store/use-operation';
import { FormRefusal } from '../../../forms/form-refusal';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { olderPhotoOf } from './older-photo';
import { Picture } from './picture';

const DrawSheet = lazyComponent(() => import('./draw-sheet').then((module) => module.DrawSheet));

interface Props {
  readonly work: WorkOrder;
  readonly entry: EntryOf<'photo'>;
  readonly canMend: boolean;
  readonly onClose: () => void;
}

/** What can be done with a photo: draw on it, make it the picture of the machine, lay an older one beside it. */
export function PhotoActions({ work, entry, canMend, onClose }: Props): ReactElement {
  const asset = useRow('assets', entry.assetId);
  const { run, refusal, errorAt } = useOperation();
  const [isDrawing, setIsDrawing] = useState(false);
  const isItsPicture = asset?.picture?.fileId === entry.content.fileId;
  const makePicture = (): void => {
    if (asset === undefined) return;
    const args = { workOrderId: work.id, entryId: entry.id, assetId: asset.id };
    void run('asset.set-picture', args, `This is the picture of ${asset.name} now.`);
  };
  return (
    <>
      <OlderBeside entry={entry} />
      <View style={sheet.buttons}>
        {canMend ? <Button icon={mdiDraw} word="Draw on it" onPress={() => setIsDrawing(true)} /> : null}
        {asset === undefined || isItsPicture ? null : (
          <Button icon={mdiImageOutline} word={`Picture of ${asset.name}`} onPress={makePicture} />
        )}
      </View>
      {isItsPicture ? <AppText soft>This is the picture of {asset?.name}.</AppText> : null}
      <FormRefusal sentence={errorAt(refusal?.field ?? '')} />
      {isDrawing ? <DrawSheet work={work} entry={entry} onDone={onClose} onClose={() => setIsDrawing(false)} /> : null}
    </>
  );
}

/** An older photo of the same place, so that both are seen at once. */
function OlderBeside({ entry }: { readonly entry: EntryOf<'photo'> }): ReactElement | null {
  const entries = useTable('entries');
  const settings = useSettings(entry.siteId);
  const older = useMemo(() => olderPhotoOf(entry, entries), [entry, entries]);
  const work = useRow('workOrders', older?.workOrderId);
  if (older === null || settings === undefined) return null;
  const when = sayMoment(older.at, now(), settings.zone, settings.language);
  return (
    <View>
      <AppText as="label">
        Here before: {when}
        {work === undefined || work.id === entry.workOrderId ? '' : `, ${work.number}`}
      </AppText>
      <Picture content={older.content} />
    </View>
  );
}

const sheet = StyleSheet.create({ buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } });
