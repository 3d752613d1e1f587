import type { AssetId, EntryId, WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  choiceField,
  idField,
  idFieldIfAny,
  LONGEST_LINE,
  textField,
  wholeField,
} from '../../../kernel/schema/fields';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type Result,
  type NamedIn,
  type OperationContext,
  type RowName,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { fileField } from '../../plant/files/file-field';
import { LONGEST_VOICE_SECONDS } from './attachments-entries';
import { FILE_BYTES_LIMIT, fileTypes, isData, isSound, soundTypes } from '../../plant/files/files';
import type { Asset } from '../../plant/plant/plant';
import { onEntry } from '../../orders/work/amendment';
import type { EntryContent } from '../../orders/work/entries';
import { machineOfEntry } from '../../steps/steps/machine-of-entry';
import { findOpenWork, findWorkOfSite, newEntry } from '../../orders/work/guards';

const anybody = ['technician', 'lead', 'storekeeper'] as const;

/** What somebody said, as sound. Its file is with the server before this is. */
const addVoice = defineOperation({
  label: 'this voice note',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    assetId: idFieldIfAny<AssetId>(),
    fileId: fileField(),
    mediaType: choiceField(soundTypes),
    seconds: wholeField()
      .min(1, 'Nothing was recorded.')
      .max(LONGEST_VOICE_SECONDS, 'A voice note holds at most ten minutes.'),
  }),
  file: 'fileId',
  reads: ({ workOrderId, assetId }) => [rowNamed('workOrders', workOrderId), rowNamed('assets', assetId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { workOrderId, assetId, fileId, mediaType, seconds }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const machine = await machineOfEntry(records, found.value, { assetId });
    if (!machine.ok) return machine;
    const entry = newEntry(found.value, { kind: 'voice', fileId, mediaType, seconds }, context);
    await records.put('entries', { ...entry, assetId: machine.value });
    return accepted;
  },
});

/** A file for the job. It is with the server before this is. */
const addFile = defineOperation({
  label: 'this file',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    assetId: idFieldIfAny<AssetId>(),
    fileId: fileField(),
    mediaType: choiceField(fileTypes),
    name: textField(LONGEST_LINE),
    bytes: wholeField().min(1).max(FILE_BYTES_LIMIT),
  }),
  file: 'fileId',
  reads: ({ workOrderId, assetId }) => [rowNamed('workOrders', workOrderId), rowNamed('assets', assetId)],
  correct: { fields: { name: 'line' }, keepsTime: true },
  apply: async (records, { workOrderId, assetId, fileId, mediaType, name, bytes }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const machine = await machineOfEntry(records, found.value, { assetId });
    if (!machine.ok) return machine;
    const entry = newEntry(found.value, { kind: 'file', fileId, mediaType, name, bytes }, context);
    await records.put('entries', { ...entry, assetId: machine.value });
    return accepted;
  },
});

/** What names an entry and the machine that is to have it from now on. */
const forMachine = { ...onEntry, assetId: idField<AssetId>() };
interface ForMachine {
  readonly workOrderId: WorkOrderId;
  readonly entryId: EntryId;
  readonly assetId: AssetId;
}
const readsForMachine = ({ workOrderId, entryId, assetId }: NamedIn<ForMachine>): (RowName | null)[] => [
  rowNamed('workOrders', workOrderId),
  rowNamed('entries', entryId),
  rowNamed('assets', assetId),
];

/** The entry of a work order of the site, and a machine of the same site. */
async function findForMachine(
  records: Records,
  { workOrderId, entryId, assetId }: ForMachine,
  context: OperationContext,
): Promise<Result<{ readonly content: EntryContent; readonly asset: Asset }>> {
  const found = await findWorkOfSite(records, workOrderId, context);
  if (!found.ok) return found;
  const entry = await records.get('entries', entryId);
  if (entry?.workOrderId !== workOrderId) return refuse('not_found', { what: 'entry' }, 'entryId');
  const asset = await records.get('assets', assetId);
  if (asset?.siteId !== found.value.siteId) return refuse('not_found', { what: 'machine' }, 'assetId');
  return { ok: true, value: { content: entry.content, asset } };
}

/** A photo of a job becomes the picture of a machine. */
const setPicture = defineOperation({
  label: 'the picture of a machine',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema(forMachine),
  reads: readsForMachine,
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findForMachine(records, args, context);
    if (!found.ok) return found;
    const { content, asset } = found.value;
    if (content.kind !== 'photo') return refuse('not_found', { what: 'photo' }, 'entryId');
    const { fileId, mediaType, width, height } = content;
    await records.put('assets', { ...asset, picture: { fileId, mediaType, width, height } });
    return accepted;
  },
});

/** A file of a job becomes a document of a machine, found with its manuals from then on. */
const keepDocument = defineOperation({
  label: 'a document of a machine',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema(forMachine),
  reads: readsForMachine,
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findForMachine(records, args, context);
    if (!found.ok) return found;
    const { content, asset } = found.value;
    if (content.kind !== 'file') return refuse('not_found', { what: 'file' }, 'entryId');
    const { fileId, name, bytes, mediaType } = content;
    // What is only heard, or never opened here, is no document to look into.
    if (isSound(mediaType) || isData(mediaType)) return refuse('not_found', { what: 'file' }, 'entryId');
    // Kept twice, it is one document.
    const document = { id: `kept-${args.entryId}`, siteId: asset.siteId, assetId: asset.id };
    await records.put('documents', { ...document, name, mediaType, bytes, fileId });
    return accepted;
  },
});

export const attachmentsOperations = {
  'voice.add': addVoice,
  'file.add': addFile,
  'asset.set-picture': setPicture,
  'asset.keep-document': keepDocument,
};
