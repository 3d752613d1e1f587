import type { AssetId } from '../../../kernel/ids';
import { hasRole } from '../../../operations/actor';
import type { Asset } from '../../plant/plant/plant';
import { isCodeOfOtherKind, readCode } from '../../plant/plant/label-code';
import type { Code } from './label';
import { argsSchema, idField, keyField } from '../../../kernel/schema/fields';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type OperationContext,
  type Refusal,
} from '../../../operations/operation';

/**
 * Says on the spot which asset a label belongs to. A label belongs to one asset; an asset may have several. What is a
 * machine's own label, or bound already, stays so; only a lead may bind a label of their sites to another machine, and what
 * it belonged to before stays with it.
 */
const bindCode = defineOperation({
  label: 'this label',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({ code: keyField('Give the code.'), assetId: idField<AssetId>() }),
  reads: ({ assetId }) => [rowNamed('assets', assetId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const code = readCode(args.code);
    if (code === null) return refuse('code_unreadable', {}, 'code');
    if (isCodeOfOtherKind(code)) return refuse('code_of_other_kind', { code }, 'code');
    const asset = await records.get('assets', args.assetId);
    if (asset === undefined || !isOfMySites(asset, context)) return refuse('not_found', { what: 'machine' }, 'assetId');
    const owners = await records.list('assets', 'tag', code);
    if (owners.some(({ id }) => id === asset.id)) return accepted;
    const [owner] = owners;
    if (owner !== undefined) return belongsTo(owner, code, context);
    const bound = await records.get('codes', code);
    if (bound?.assetId === asset.id) return accepted;
    if (bound !== undefined && !mayTakeOver(bound, context)) {
      return belongsTo(await records.get('assets', bound.assetId), code, context);
    }
    const { id: assetId, siteId } = asset;
    if ((await records.list('codes', 'asset', assetId)).length >= MOST_CODES)
      return refuse('too_many_codes', { limit: MOST_CODES, name: asset.name }, 'code');
    const previous = bound === undefined ? [] : [...bound.previous, historyOf(bound)].slice(-MOST_PREVIOUS);
    await records.put('codes', { id: code, siteId, assetId, by: context.person.id, at: context.at, previous });
    return accepted;
  },
});

/** A label does not belong to its machine any more: it is nobody's until it is bound again. */
const unbindCode = defineOperation({
  label: 'taking a label off its machine',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['lead'],
  schema: argsSchema({ code: keyField('Give the code.') }),
  reads: () => [],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const code = readCode(args.code);
    if (code === null) return refuse('code_unreadable', {}, 'code');
    const bound = await records.get('codes', code);
    if (bound === undefined || !isOfMySites(bound, context)) return refuse('not_found', { what: 'label' }, 'code');
    await records.remove('codes', code);
    return accepted;
  },
});

const MOST_PREVIOUS = 20;
/** Labels of one machine; more nobody hangs there. */
const MOST_CODES = 50;

const historyOf = ({ assetId, by, at }: Code): Code['previous'][number] => ({ assetId, by, at });

const isOfMySites = ({ siteId }: Pick<Asset, 'siteId'>, { person }: OperationContext): boolean =>
  person.siteIds.includes(siteId);

const mayTakeOver = (bound: Code, context: OperationContext): boolean =>
  hasRole(context.person, ['lead']) && isOfMySites(bound, context);

/** Whose it is may only be said to somebody who may see that machine. */
function belongsTo(owner: Asset | undefined, code: string, context: OperationContext): Refusal {
  if (owner === undefined || !isOfMySites(owner, context)) return refuse('code_taken', { code }, 'code');
  return refuse('code_bound', { code, name: owner.name }, 'code');
}

export const labelsOperations = { 'code.bind': bindCode, 'code.unbind': unbindCode };
