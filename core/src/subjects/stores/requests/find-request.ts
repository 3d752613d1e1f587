import type { RequestId } from '../../../kernel/ids';
import { couldKnow } from '../../../operations/known';
import { refuse, type OperationContext, type Result } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { StoreRequest } from './request';

/** The request, if it is of a site of the person. */
export async function findRequest(
  records: Records,
  id: RequestId,
  context: OperationContext,
): Promise<Result<StoreRequest>> {
  const request = await records.get('requests', id);
  if (request === undefined || !context.person.siteIds.includes(request.siteId))
    return refuse('not_found', { what: 'request' }, 'requestId');
  return { ok: true, value: request };
}

/** As `findRequest`, and not ended by a word of somebody; what the person could not know of stops nobody. */
export async function findOpenRequest(
  records: Records,
  id: RequestId,
  context: OperationContext,
): Promise<Result<StoreRequest>> {
  const found = await findRequest(records, id, context);
  if (!found.ok) return found;
  const { closed } = found.value;
  if (closed === null) return found;
  if (closed.by !== context.person.id && !couldKnow(closed, context)) {
    // It was given before anybody who gave it could hear that it was not wanted, or that another had said no.
    return { ok: true, value: { ...found.value, closed: null } };
  }
  const who = (await records.get('people', closed.by))?.name ?? 'Somebody';
  return refuse('request_closed', { is: closed.is, who }, 'requestId');
}
