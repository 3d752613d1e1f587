import { ofSite, type TablesNamed } from '../../../records/table';
import { isNoticeKept, type AssetFollow, type Follow, type Notice, type NoticeChoice } from './notices';

declare module '../../../records/table' {
  interface TableTypes {
    notices: { row: Notice; index: 'person' };
    follows: { row: Follow; index: 'person' | 'workOrder' };
    assetFollows: { row: AssetFollow; index: 'person' | 'asset' };
    noticeChoices: { row: NoticeChoice; index: 'person' };
  }
}

export const noticesTables: TablesNamed<'notices' | 'follows' | 'assetFollows' | 'noticeChoices'> = {
  notices: {
    ...ofSite,
    indexes: { person: (row) => row.personId },
    seenBy: 'own',
    audienceIsFixed: true,
    isExpired: (row, now) => !isNoticeKept(row, now),
    upgrades: [
      {
        to: 5,
        change: ({ detail, ...row }) => ({
          ...row,
          facts: typeof detail === 'string' && detail !== '' ? [{ is: 'reason', reason: detail }] : [],
        }),
      },
    ],
  },
  follows: {
    ...ofSite,
    indexes: { person: (row) => row.personId, workOrder: (row) => row.workOrderId },
    seenBy: 'own',
  },
  assetFollows: {
    ...ofSite,
    since: 16,
    indexes: { person: (row) => row.personId, asset: (row) => row.assetId },
    seenBy: 'own',
  },
  noticeChoices: { ...ofSite, indexes: { person: (row) => row.personId }, seenBy: 'own' },
};
