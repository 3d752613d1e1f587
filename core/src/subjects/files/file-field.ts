import type * as yup from 'yup';
import type { FileId } from '../../kernel/ids';
import { idField } from '../../kernel/schema/fields';
import { isFileId } from './files';

/** The name of a file: its SHA-256. */
export function fileField(): yup.StringSchema<FileId> {
  return idField<FileId>()
    .test('sha256', 'This is not the name of a file.', (text) => isFileId(text))
    .meta({ jsonSchema: { pattern: '^[0-9a-f]{64}$' } }) as unknown as yup.StringSchema<FileId>;
}
