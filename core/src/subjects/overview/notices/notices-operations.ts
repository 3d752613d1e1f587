import * as yup from 'yup';
import type { AssetId, PersonId, WorkOrderId } from '../../../kernel/ids';
import { followId, noticeChoiceOf, noticeKinds } from './notices';
import { argsSchema, choiceField, flagField, idField, keyField } from '../../../kernel/schema/fields';
import { findWorkOfSite } from '../../orders/work/guards';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';

const roles = ['technician', 'lead', 'storekeeper'] as const;
const MOST_AT_ONCE = 500;

/** The person has seen these notices. */
const seeNotices = defineOperation({
  label: 'having seen notices',
  inLog: 'private',
  governs: 'nothing',
  roles,
  schema: argsSchema({
    noticeIds: yup.array().strict().of(keyField()).required('Name the notices.').max(MOST_AT_ONCE),
  }),
  reads: () => [],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { noticeIds }, context) => {
    for (const id of noticeIds) {
      const notice = await records.get('notices', id);
      // One that was renewed meanwhile was not seen: it says something new.
      if (notice?.personId !== context.person.id || notice.seenAt !== null || notice.at > context.at) continue;
      await records.put('notices', { ...notice, seenAt: context.at });
    }
    return accepted;
  },
});

/** Whether notices of a kind come at all, by mail, and by the phone's own notifications. */
const chooseNotices = defineOperation({
  label: 'the choice of notices',
  inLog: 'private',
  governs: 'nothing',
  roles,
  schema: argsSchema({
    kind: choiceField(noticeKinds),
    isWanted: flagField(),
    byMail: flagField(),
    byPush: flagField(),
  }),
  reads: (_named, by) => [rowNamed('noticeChoices', by)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { kind, isWanted, byMail, byPush }, context) => {
    const { id } = context.person;
    const before = noticeChoiceOf(id, await records.get('noticeChoices', id));
    const set = (list: readonly (typeof kind)[], isIn: boolean) => [
      ...list.filter((each) => each !== kind),
      ...(isIn ? [kind] : []),
    ];
    await records.put('noticeChoices', {
      ...before,
      silent: set(before.silent, !isWanted),
      mail: set(before.mail, isWanted && byMail),
      push: set(before.push, isWanted && byPush),
    });
    return accepted;
  },
});

/** Wants to hear of a work order, or not any more. */
const followWork = defineOperation({
  label: 'following this work order',
  inLog: 'private',
  governs: 'nothing',
  roles,
  schema: argsSchema({ workOrderId: idField<WorkOrderId>(), isFollowed: flagField() }),
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, { workOrderId, isFollowed }, context) => {
    const personId: PersonId = context.person.id;
    const id = followId(personId, workOrderId);
    if (!isFollowed) {
      // Also of work on a site that the person has no more, and whether there is such work or not.
      if ((await records.get('follows', id)) !== undefined) await records.remove('follows', id);
      return accepted;
    }
    const found = await findWorkOfSite(records, workOrderId, context);
    if (!found.ok) return found;
    await records.put('follows', { id, personId, workOrderId });
    return accepted;
  },
});

/** Wants to hear of the work on a machine, or not any more. */
const followAsset = defineOperation({
  label: 'following this machine',
  inLog: 'private',
  governs: 'nothing',
  roles,
  schema: argsSchema({ assetId: idField<AssetId>(), isFollowed: flagField() }),
  reads: ({ assetId }) => [rowNamed('assets', assetId)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, { assetId, isFollowed }, context) => {
    const personId: PersonId = context.person.id;
    const id = followId(personId, assetId);
    if (!isFollowed) {
      if ((await records.get('assetFollows', id)) !== undefined) await records.remove('assetFollows', id);
      return accepted;
    }
    const asset = await records.get('assets', assetId);
    if (asset === undefined || !context.person.siteIds.includes(asset.siteId))
      return refuse('not_found', { what: 'machine' }, 'assetId');
    await records.put('assetFollows', { id, personId, assetId });
    return accepted;
  },
});

export const noticesOperations = {
  'asset.follow': followAsset,
  'work.follow': followWork,
  'notices.see': seeNotices,
  'notices.choose': chooseNotices,
};
