import type { AssetId, WorkOrderId } from '../../kernel/ids';
import { argsSchema, choiceField, idField, LONGEST_LINE, textField, wholeField } from '../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../operations/operation';
import { fileField } from '../files/file-field';
import { LONGEST_VOICE_SECONDS } from './attachments-entries';
import { FILE_BYTES_LIMIT, pictureTypes, soundTypes } from '../files/files';
import { onEntry } from '../work/amendment';
import { findOpenWork, findWorkOfSite, newEntry } from '../work/guards';

const anybody = ['technician', 'lead', 'storekeeper'] as const;

/** What somebody said, as sound. Its file is with the server before this is. */
const addVoice = defineOperation({
  label: 'this voice note',
  roles: anybody,
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    fileId: fileField(),
    mediaType: choiceField(soundTypes),
    seconds: wholeField()
      .min(1, 'Nothing was recorded.')
      .max(LONGEST_VOICE_SECONDS, 'A voice note holds at most ten minutes.'),
  }),
  file: 'fileId',
  numbered: null,
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  mend: { fields: {}, keepsTime: true },
  upgrades: [],
  apply: async (records, { workOrderId, fileId, mediaType, seconds }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    await records.put('entries', newEntry(found.value, { kind: 'voice', fileId, mediaType, seconds }, context));
    return accepted;
  },
});

/** A file for the job. It is with the server before this is. */
const addFile = defineOperation({
  label: 'this file',
  roles: anybody,
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    fileId: fileField(),
    mediaType: choiceField([...pictureTypes, ...soundTypes, 'application/pdf']),
    name: textField(LONGEST_LINE),
    bytes: wholeField().min(1).max(FILE_BYTES_LIMIT),
  }),
  file: 'fileId',
  numbered: null,
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  mend: { fields: { name: 'line' }, keepsTime: true },
  upgrades: [],
  apply: async (records, { workOrderId, fileId, mediaType, name, bytes }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    await records.put('entries', newEntry(found.value, { kind: 'file', fileId, mediaType, name, bytes }, context));
    return accepted;
  },
});

/** A photo of a job becomes the picture of a machine. */
const setPicture = defineOperation({
  label: 'the picture of a machine',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onEntry, assetId: idField<AssetId>() }),
  file: null,
  numbered: null,
  reads: ({ workOrderId, entryId, assetId }) => [
    rowNamed('workOrders', workOrderId),
    rowNamed('entries', entryId),
    rowNamed('assets', assetId),
  ],
  mend: { fields: {}, keepsTime: true },
  upgrades: [],
  apply: async (records, { workOrderId, entryId, assetId }, context) => {
    const found = await findWorkOfSite(records, workOrderId, context);
    if (!found.ok) return found;
    const entry = await records.get('entries', entryId);
    if (entry?.workOrderId !== workOrderId || entry.content.kind !== 'photo')
      return refuse('not_found', { what: 'photo' }, 'entryId');
    const asset = await records.get('assets', assetId);
    if (asset?.siteId !== found.value.siteId) return refuse('not_found', { what: 'machine' }, 'assetId');
    const { fileId, mediaType, width, height } = entry.content;
    await records.put('assets', { ...asset, picture: { fileId, mediaType, width, height } });
    return accepted;
  },
});

/** A file of a job becomes a document of a machine, found with its manuals from then on. */
const keepDocument = defineOperation({
  label: 'a document of a machine',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onEntry, assetId: idField<AssetId>() }),
  file: null,
  numbered: null,
  reads: ({ workOrderId, entryId, assetId }) => [
    rowNamed('workOrders', workOrderId),
    rowNamed('entries', entryId),
    rowNamed('assets', assetId),
  ],
  mend: { fields: {}, keepsTime: true },
  upgrades: [],
  apply: async (records, { workOrderId, entryId, assetId }, context) => {
    const found = await findWorkOfSite(records, workOrderId, context);
    if (!found.ok) return found;
    const entry = await records.get('entries', entryId);
    const content = entry?.workOrderId === workOrderId ? entry.content : undefined;
    if (content?.kind !== 'file' || content.mediaType.startsWith('audio/'))
      return refuse('not_found', { what: 'file' }, 'entryId');
    const asset = await records.get('assets', assetId);
    if (asset?.siteId !== found.value.siteId) return refuse('not_found', { what: 'machine' }, 'assetId');
    const { fileId, name, bytes } = content;
    const mediaType = content.mediaType as Exclude<typeof content.mediaType, `audio/${string}`>;
    // Kept twice, it is one document.
    const id = `kept-${entryId}`;
    await records.put('documents', { id, siteId: asset.siteId, assetId, name, mediaType, bytes, fileId });
    return accepted;
  },
});

export const attachmentsOperations = {
  'voice.add': addVoice,
  'file.add': addFile,
  'asset.set-picture': setPicture,
  'asset.keep-document': keepDocument,
};
