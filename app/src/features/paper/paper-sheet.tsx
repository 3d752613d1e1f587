import { useState, type ReactElement } from 'react';
import type { WorkOrder } from '@oilcan/core/work';
import { useSettings } from '../../data/store';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { useIsOurs } from '../work';
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
  if (settings === undefined) return null;
  if (isMailing) return <MailSheet work={work} onClose={onClose} />;
  const make = (...order: Parameters<typeof makePaper>): void => {
    void makePaper(...order);
    onClose();
  };
  return (
    <BottomSheet title="Paper" aside={work.number} onClose={onClose}>
      <Words soft>Made on this phone, with or without signal.</Words>
      <Button
        rank="primary"
        icon={mdiPrinterOutline}
        word="Job card, A4"
        onPress={() => make({ what: 'job card', card: jobCardOf(work, settings) }, `${work.number}.pdf`)}
      />
      <Button
        icon={mdiPrinterOutline}
        word="Out-of-service tag, A6"
        onPress={() => make({ what: 'tag', tag: tagOf(work, settings) }, `${work.number}-tag.pdf`)}
      />
      {isOurs ? (
        <>
          <Words soft>The record, with its photos:</Words>
          <Button icon={mdiPrinterOutline} word="Record as PDF" onPress={() => void saveRecordPaper(work, settings)} />
          <Button icon={mdiEmailOutline} word="Send it by mail" onPress={() => setIsMailing(true)} />
          <Words soft>To be read by other programs:</Words>
          <Button icon={mdiDownload} word="Record as JSON" onPress={() => saveRecord(work)} />
          <Button icon={mdiDownload} word="Entries as CSV" onPress={() => saveEntries(work)} />
        </>
      ) : null}
    </BottomSheet>
  );
}
