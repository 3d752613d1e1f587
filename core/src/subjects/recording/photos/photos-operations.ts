import type { AssetId, StepId, WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  choiceField,
  choiceFieldIfAny,
  idField,
  idFieldIfAny,
  optionalTextField,
} from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { pictureTypes } from '../../plant/files/files';
import { fileField, pictureSide } from '../../plant/files/file-field';
import { machineOfEntry } from '../../steps/steps/machine-of-entry';
import { namedStep } from '../../steps/steps/find-step';
import { findAmendable, onEntry, putAmendment, readsToAmend } from '../../orders/work/amendment';
import { findOpenWork, newEntry } from '../../orders/work/guards';

const photoTimes = ['before', 'after'] as const;

/** A picture for whoever comes next. Its file is with the server before this is. */
const addPhoto = defineOperation({
  label: 'this photo',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    fileId: fileField(),
    mediaType: choiceField(pictureTypes),
    width: pictureSide(),
    height: pictureSide(),
    caption: optionalTextField(),
    taken: choiceFieldIfAny(photoTimes),
    stepId: idFieldIfAny<StepId>(),
    assetId: idFieldIfAny<AssetId>(),
  }),
  file: 'fileId',
  reads: ({ workOrderId, assetId }) => [rowNamed('workOrders', workOrderId), rowNamed('assets', assetId)],
  correct: { fields: { caption: 'line' }, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const machine = await machineOfEntry(records, found.value, args);
    if (!machine.ok) return machine;
    const { fileId, mediaType, width, height, caption, taken } = args;
    const when = taken === undefined ? {} : { taken };
    const picture = { kind: 'photo', fileId, mediaType, width, height, caption, ...when } as const;
    const entry = newEntry(found.value, { ...picture, ...namedStep(args.stepId) }, context);
    await records.put('entries', { ...entry, assetId: machine.value });
    return accepted;
  },
});

/** Other words for a photo. */
const amendPhoto = defineOperation({
  label: 'the amended words of a photo',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({ ...onEntry, caption: optionalTextField() }),
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  correct: { fields: { caption: 'line' }, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    const { content } = found.entry;
    if (content.kind !== 'photo') return refuse('entry_not_amendable', {}, 'entryId');
    await putAmendment(records, found, { ...content, caption: args.caption }, context);
    return accepted;
  },
});

/** A mark was drawn on a photo: the one with the mark stands in its place, and the one that was taken is kept. */
const drawOnPhoto = defineOperation({
  label: 'the mark on a photo',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({
    ...onEntry,
    fileId: fileField(),
    mediaType: choiceField(pictureTypes),
    width: pictureSide(),
    height: pictureSide(),
  }),
  file: 'fileId',
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { workOrderId, entryId, ...picture }, context) => {
    const found = await findAmendable(records, { workOrderId, entryId }, context);
    if (!found.ok) return found;
    const { content } = found.entry;
    if (content.kind !== 'photo') return refuse('entry_not_amendable', {}, 'entryId');
    const originalFileId = content.originalFileId ?? content.fileId;
    await putAmendment(records, found, { ...content, ...picture, originalFileId }, context);
    return accepted;
  },
});

export const photosOperations = { 'photo.add': addPhoto, 'photo.amend': amendPhoto, 'photo.draw': drawOnPhoto };
