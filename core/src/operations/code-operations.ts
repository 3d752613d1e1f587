import * as yup from 'yup';
import type { AssetId } from '../ids/ids';
import { readCode } from '../plant/codes';
import { argsSchema, idField, LONGEST_LINE } from './fields';
import { accepted, defineOperation, refuse } from './operation';

/** Says on the spot which asset a label belongs to. A label belongs to one asset; an asset may have several. */
export const bindCode = defineOperation({
  label: 'this label',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({
    code: yup.string().strict().required('Give the code.').max(LONGEST_LINE, 'text_too_long'),
    assetId: idField<AssetId>(),
  }),
  apply: async (records, args, context) => {
    const code = readCode(args.code);
    if (code === null) return refuse('code_unreadable', {}, 'code');
    const asset = await records.get('assets', args.assetId);
    if (asset === undefined || !context.person.siteIds.includes(asset.siteId)) {
      return refuse('not_found', { what: 'machine' }, 'assetId');
    }
    const bound = await records.get('codes', code);
    if (bound !== undefined && bound.assetId !== asset.id) {
      const other = await records.get('assets', bound.assetId);
      return refuse('code_bound', { code, name: other?.name ?? 'another machine' }, 'code');
    }
    const { id: assetId, siteId } = asset;
    if (bound === undefined) {
      await records.put('codes', { id: code, siteId, assetId, by: context.person.id, at: context.at });
    }
    return accepted;
  },
});
