import * as yup from 'yup';
import type { WorkOrderId } from '../../../kernel/ids';
import { argsSchema, idField, optionalTextField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { fileField } from '../../plant/files/file-field';
import { findWorkOfSite } from '../../orders/work/guards';

/** A job is not sent more often than this: whoever wants it more often does not want it sent. */
const MOST_COPIES = 20;

/** One address, without a name: what stands before the @, and a domain with a dot. */
const ADDRESS = /^[A-Za-z0-9._%+'-]{1,64}@(?:[A-Za-z0-9-]{1,63}\.){1,8}[A-Za-z]{2,24}$/;
const addressField = () =>
  yup
    .string()
    .strict()
    .required('Write an address for mail.')
    .matches(ADDRESS, 'This is no address for mail, such as eva@example.org.')
    .meta({ jsonSchema: { type: 'string', format: 'email' } });

/** The record of a job goes to somebody by mail. Its PDF is with the server before this is. */
const mailCopy = defineOperation({
  label: 'sending a copy by mail',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    to: addressField(),
    line: optionalTextField(),
    fileId: fileField(),
  }),
  file: 'fileId',
  fileTypes: ['application/pdf'],
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: { to: 'line', line: 'line' }, keepsTime: true },
  apply: async (records, { workOrderId, to, line, fileId }, context) => {
    const found = await findWorkOfSite(records, workOrderId, context);
    if (!found.ok) return found;
    const { siteId, number } = found.value;
    const copies = await records.list('copies', 'workOrder', workOrderId);
    if (copies.length >= MOST_COPIES) return refuse('copies_enough', { number, most: MOST_COPIES });
    const { person, at, operationId } = context;
    await records.put('copies', { id: operationId, siteId, workOrderId, to, line, fileId, by: person.id, at });
    return accepted;
  },
});

export const copiesOperations = { 'work.mail-copy': mailCopy };
