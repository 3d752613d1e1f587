import type { PersonId, SiteId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { hasRole } from '../../../operations/actor';
import type { NoticeFact, RequestBecame } from '../../orders/work/notice-fact';
import type { Person } from '../../plant/people/people';
import type { StoreRequest } from '../../stores/requests/request';
import type { Transfer } from '../../stores/transfers/transfer';
import type { Notice, NoticeKind } from './notices';

/** How what was asked for is called: its job or store, and the part or the words for it. */
export interface RequestNames {
  readonly number: string;
  readonly title: string;
}

/**
 * Whom a change of a request concerns: the storekeepers of its site hear that something is asked, changed or not needed any more;
 * whoever asked hears of each thing that became of it. Nobody is told of their own doing.
 */
export function noticesOfRequest(
  before: StoreRequest | undefined,
  after: StoreRequest,
  by: PersonId,
  people: readonly Person[],
  names: RequestNames,
  now: Instant,
): Notice[] {
  const told: Notice[] = [];
  const ofSite = people.filter(({ id, siteIds }) => id !== by && siteIds.includes(after.siteId));
  const tell = (those: readonly Person[], kind: NoticeKind, facts: readonly NoticeFact[]): void => {
    const workOrderId = kind === 'fromStore' ? after.workOrderId : null;
    for (const { id } of those)
      told.push({
        id: `${id}@${kind}@${after.id}`,
        personId: id,
        kind,
        workOrderId,
        requestId: after.id,
        ...names,
        facts,
        at: now,
        seenAt: null,
      });
  };
  const { unit } = after;
  const fact = (became: RequestBecame, quantity: number, words = ''): NoticeFact => ({
    is: 'request',
    became,
    quantity,
    unit,
    words,
  });
  const keepers = ofSite.filter((person) => hasRole(person, ['storekeeper']));
  const asker = ofSite.filter(({ id }) => id === after.askedBy);
  if (before === undefined) tell(keepers, 'asked', [fact('asked', after.quantity, after.bringTo)]);
  else if (before.quantity !== after.quantity) tell([...keepers, ...asker], 'asked', [fact('changed', after.quantity)]);
  const given = after.handouts.slice(before?.handouts.length ?? 0);
  const facts = given.map(({ way, where, settles }) =>
    fact(way === 'person' ? 'handedOut' : way === 'pickUp' ? 'ready' : 'along', settles, where),
  );
  const isClosedNow = after.closed !== null && before?.closed === null;
  if (isClosedNow && after.closed.is === 'declined') facts.push(fact('declined', after.quantity, after.closed.reason));
  if (facts.length > 0) tell(asker, 'fromStore', facts);
  if (isClosedNow && after.closed.is === 'withdrawn') tell(keepers, 'asked', [fact('withdrawn', after.quantity)]);
  return told;
}

/** How what moves between two stores is called. */
export interface TransferNames extends RequestNames {
  readonly unit: string;
  readonly from: string;
}

/**
 * Whom a change of a transfer concerns: the storekeepers of the site that is asked; whoever asked, of what became of it; and the
 * storekeepers of the site to which something is on its way. Nobody is told of their own doing.
 */
export function noticesOfTransfer(
  before: Transfer | undefined,
  after: Transfer,
  by: PersonId,
  people: readonly Person[],
  { unit, from, ...names }: TransferNames,
  now: Instant,
): Notice[] {
  const told = new Map<string, Notice>();
  const keepersOf = (siteId: SiteId): Person[] =>
    people.filter((person) => person.siteIds.includes(siteId) && hasRole(person, ['storekeeper']));
  const tell = (
    those: readonly Person[],
    kind: NoticeKind,
    became: RequestBecame,
    quantity: number,
    words: string,
  ): void => {
    for (const { id } of those) {
      if (id === by) continue;
      const notice = { id: `${id}@${kind}@${after.id}`, personId: id, kind, workOrderId: null, transferId: after.id };
      const facts: NoticeFact[] = [{ is: 'request', became, quantity, unit, words }];
      told.set(notice.id, { ...notice, ...names, facts, at: now, seenAt: null });
    }
  };
  const asker = people.filter(({ id, siteIds }) => id === after.askedBy && siteIds.includes(after.toSiteId));
  const wasSent = before !== undefined && before.sent !== null;
  if (before === undefined && after.sent === null)
    tell(keepersOf(after.fromSiteId), 'asked', 'asked', after.quantity, after.note);
  if (after.sent !== null && !wasSent) {
    const along = after.sent.along === '' ? `${from}` : `${after.sent.along}, from ${from}`;
    tell([...keepersOf(after.toSiteId), ...asker], 'fromStore', 'along', after.sent.quantity, along);
  }
  if (after.closed?.is === 'declined' && before?.closed === null)
    tell(asker, 'fromStore', 'declined', after.quantity, after.closed.reason);
  return [...told.values()];
}
