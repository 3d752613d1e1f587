import type { StepId, WorkOrderId } from '../../kernel/ids';
import { argsSchema, choiceField, idField, idFieldIfAny, optionalTextField } from '../../kernel/schema/fields';
import { accepted, defineOperation, rowNamed } from '../../operations/operation';
import { pictureTypes } from '../files/files';
import { fileField, pictureSide } from '../files/file-field';
import { checkStep, namedStep } from '../steps/find-step';
import { findOpenWork, newEntry } from '../work/guards';

/** A picture for whoever comes next. Its file is with the server before this is. */
const addPhoto = defineOperation({
  label: 'this photo',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    fileId: fileField(),
    mediaType: choiceField(pictureTypes),
    width: pictureSide(),
    height: pictureSide(),
    caption: optionalTextField(),
    stepId: idFieldIfAny<StepId>(),
  }),
  file: 'fileId',
  numbered: null,
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  mend: { fields: { caption: 'line' }, keepsTime: true },
  upgrades: [],
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const possible = await checkStep(records, args.stepId, args.workOrderId);
    if (!possible.ok) return possible;
    const { fileId, mediaType, width, height, caption } = args;
    const picture = { kind: 'photo', fileId, mediaType, width, height, caption } as const;
    await records.put('entries', newEntry(found.value, { ...picture, ...namedStep(args.stepId) }, context));
    return accepted;
  },
});

export const photosOperations = { 'photo.add': addPhoto };
