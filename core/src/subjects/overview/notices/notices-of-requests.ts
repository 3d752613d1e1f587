import type { PersonId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { hasRole } from '../../../operations/actor';
import type { NoticeFact, RequestBecame } from '../../orders/work/notice-fact';
import type { Person } from '../../plant/people/people';
import { openAmount, type StoreRequest } from '../../stores/requests/request';
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
  if (isClosedNow && after.closed.is === 'declined')
    facts.push(fact('declined', after.quantity - openAmount(after), after.closed.reason));
  if (facts.length > 0) tell(asker, 'fromStore', facts);
  if (isClosedNow && after.closed.is === 'withdrawn') tell(keepers, 'asked', [fact('withdrawn', after.quantity)]);
  return told;
}
