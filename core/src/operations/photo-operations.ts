import { isFileId, pictureTypes } from '../files/files';
import type { FileId, WorkOrderId } from '../ids/ids';
import { argsSchema, choiceField, idField, optionalTextField, wholeField } from './fields';
import { findOpenWork, newEntry } from './guards';
import { accepted, defineOperation } from './operation';

/** Pixels along one side of the largest picture. */
const LARGEST_SIDE = 20_000;
const side = () => wholeField().min(1).max(LARGEST_SIDE);

/** A picture for whoever comes next. Its file is with the server before this is. */
export const addPhoto = defineOperation({
  label: 'this photo',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    fileId: idField<FileId>()
      .test('sha256', 'This is not the name of a file.', (text) => isFileId(text))
      .meta({ jsonSchema: { pattern: '^[0-9a-f]{64}$' } }),
    mediaType: choiceField(pictureTypes),
    width: side(),
    height: side(),
    caption: optionalTextField(),
  }),
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const { fileId, mediaType, width, height, caption } = args;
    await records.put(
      'entries',
      newEntry(found.value, { kind: 'photo', fileId, mediaType, width, height, caption }, context),
    );
    return accepted;
  },
});
