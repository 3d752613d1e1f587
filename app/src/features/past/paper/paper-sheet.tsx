import { useState, type ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useSettings } from '../../../data/store/store';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { useIsOurs } from '../../orders/work';
import { counted } from '../../../words/work-words';
import { behindCard, type ChosenDocument } from './behind-card';
import { DocumentsToTake, type TakenDocument } from './documents-to-take';
import { MailSheet } from './mail-sheet';
import { makePaper } from './make-paper';
import { saveRecordPaper } from './make-record';
import { saveEntries, saveRecord } from './save-record';
import { jobCardOf, tagOf } from './work-paper';
import { mdiDownload, mdiEmailOutline, mdiPrinterOutline } from '@mdi/js';

/** What of a work order goes onto paper. */
export function PaperSheet({
  work,
  onClose,
}: {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}): ReactElement | null {
  const settings = useSettings(work.siteId);
  // Of the work of others this phone does not have the whole record.
  const isOurs = useIsOurs(work);
  const [isMailing, setIsMailing] = useState(false);
  const [chosen, setChosen] = useState<readonly TakenDocument[]>([]);
  if (settings === undefined) return null;
  if (isMailing) return <MailSheet work={work} onClose={onClose} />;
  const make = (...order: Parameters<typeof makePaper>): void => {
    void makePaper(...order);
    onClose();
  };
  const makeCard = async (): Promise<void> => {
    const behind = await behindCard(chosen.filter((each): each is ChosenDocument => each.pages !== undefined));
    make({ what: 'job card', card: jobCardOf(work, settings), behind }, `${work.number}.pdf`);
  };
  return (
    <BottomSheet title="Paper" aside={work.number} onClose={onClose}>
      <AppText soft>Made on this phone, with or without signal.</AppText>
      <Button
        rank="primary"
        icon={mdiPrinterOutline}
        word={chosen.length === 0 ? 'Job card, A4' : `Job card with ${counted(chosen.length, 'document', 'documents')}`}
        cannot={chosen.some(({ pages }) => pages === undefined) && 'Write the pages as 3, 3-5 or 3-5, 9.'}
        onPress={() => void makeCard()}
      />
      <DocumentsToTake assetId={work.assetId} chosen={chosen} onChange={setChosen} />
      <Button
        icon={mdiPrinterOutline}
        word="Out-of-service tag, A6"
        onPress={() => make({ what: 'tag', tag: tagOf(work, settings) }, `${work.number}-tag.pdf`)}
      />
      {isOurs ? (
        <>
          <AppText soft>The record, with its photos:</AppText>
          <Button icon={mdiPrinterOutline} word="Record as PDF" onPress={() => void saveRecordPaper(work, settings)} />
          <Button icon={mdiEmailOutline} word="Send it by mail" onPress={() => setIsMailing(true)} />
          <AppText soft>To be read by other programs:</AppText>
          <Button icon={mdiDownload} word="Record as JSON" onPress={() => saveRecord(work)} />
          <Button icon={mdiDownload} word="Entries as CSV" onPress={() => saveEntries(work)} />
        </>
      ) : null}
    </BottomSheet>
  );
}
