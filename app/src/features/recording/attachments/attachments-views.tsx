import type { ReactElement } from 'react';
import { mdiFileDocumentOutline } from '@mdi/js';
import { formatClock } from '@oilcan/core/kernel';
import type { FileContent } from '@oilcan/core/recording/attachments';
import { isData, isSound } from '@oilcan/core/plant/files';
import type { EntryOf, WorkOrder } from '@oilcan/core/orders/work';
import { useRow } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { Icon } from '../../../ui/theme/icon';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';
import { OpenFile } from './open-file';
import { PlayVoice } from './play-voice';

const entries: EntryViewsNamed<'voice' | 'file'> = {
  voice: {
    ...inWords,
    group: 'notes',
    dock: null,
    say: ({ content }) => ({ headline: 'Voice note', detail: formatClock(content.seconds) }),
    Picture: PlayVoice,
  },
  file: {
    ...inWords,
    group: 'notes',
    dock: null,
    say: ({ content }) => ({ headline: content.name, detail: `File, ${kilobytes(content.bytes)}` }),
    Picture: FileMark,
    Actions: FileActions,
  },
};

function FileMark({
  content,
  isSmall = false,
}: {
  readonly content: FileContent;
  readonly isSmall?: boolean;
}): ReactElement {
  return isSmall ? <Icon path={mdiFileDocumentOutline} size={28} /> : <OpenFile content={content} />;
}

/** A file of the job can be kept with the manuals of its machine. */
function FileActions({
  work,
  entry,
}: {
  readonly work: WorkOrder;
  readonly entry: EntryOf<'file'>;
}): ReactElement | null {
  const asset = useRow('assets', entry.assetId);
  const kept = useRow('documents', `kept-${entry.id}`);
  const { mediaType } = entry.content;
  if (asset === undefined || isSound(mediaType) || isData(mediaType)) return null;
  if (kept !== undefined) return <AppText soft>It is among the documents of {asset.name}.</AppText>;
  const args = { workOrderId: work.id, entryId: entry.id, assetId: asset.id };
  return <Button word={`Keep it with ${asset.name}`} onPress={() => void performOrSay('asset.keep-document', args)} />;
}

function kilobytes(bytes: number): string {
  return bytes < 1024 * 1024 ? `${Math.ceil(bytes / 1024)} kB` : `${(bytes / 1024 / 1024).toFixed(1)} MB`;
}

const operations: OperationViewsNamed<'voice.add' | 'file.add' | 'asset.set-picture' | 'asset.keep-document'> = {
  'voice.add': { ...byItsLabel, say: ({ seconds }) => `Voice note, ${formatClock(seconds)}` },
  'file.add': { say: ({ name }) => `File: ${name}`, fields: { name: 'Name of the file' } },
  'asset.set-picture': {
    ...byItsLabel,
    say: ({ assetId }, { asset }) => `Picture of ${asset(assetId)?.name ?? 'a machine'}`,
  },
  'asset.keep-document': {
    ...byItsLabel,
    say: ({ assetId }, { asset }) => `Document of ${asset(assetId)?.name ?? 'a machine'}`,
  },
};

export const attachmentsViews = { entries, operations };
