import { settledOf, type StoreRequest } from '@oilcan/core/stores/requests';
import { onHandAfter, stockLevelId, type Movement, type StockLevel } from '@oilcan/core/stores/stock';
import { inTransit, type Transfer } from '@oilcan/core/stores/transfers';
import { binId, partId } from '@oilcan/core/testing';
import { midBinId } from './store-deeds';
import type { Shift } from './shift';

/** A bin that is not the sum of its movements, a request that got more than was given or taken, a piece that is lost on the way or doubled. */
export async function wrongStores(shift: Shift): Promise<string[]> {
  const rowsOf = async <T>(table: string): Promise<T[]> => {
    const stored: { body: string }[] = await shift.server.database(table).select('body');
    return stored.map(({ body }) => JSON.parse(body) as T);
  };
  const movements = await rowsOf<Movement>('movements');
  const levels = await rowsOf<StockLevel>('stock');
  const transfers = await rowsOf<Transfer>('transfers');
  const requests = await rowsOf<StoreRequest>('requests');
  const broken: string[] = [];
  for (const bin of [binId, midBinId]) {
    const onHand = levels.find(({ id }) => id === stockLevelId(partId, bin))?.onHand ?? 0;
    const sum = onHandAfter(movements.filter((each) => each.binId === bin && each.partId === partId));
    if (onHand !== sum) broken.push(`Bin ${bin} says ${onHand}, its movements ${sum}.`);
  }
  // What left the bins for other stores is on the way, has come, or was written off.
  const moved = -onHandAfter(movements.filter(({ reason }) => reason === 'transfer'));
  const lost = transfers.flatMap(({ losses }) => losses).reduce((sum, { quantity }) => sum + quantity, 0);
  const travelling = transfers.reduce((sum, transfer) => sum + inTransit(transfer), 0);
  if (moved !== lost + travelling)
    broken.push(`${moved} left for other stores; ${travelling} travel, ${lost} are lost.`);
  for (const transfer of transfers)
    if (inTransit(transfer) < 0) broken.push(`More of transfer ${transfer.id} came than was sent.`);
  for (const request of requests) {
    const { id, handouts } = request;
    if (handouts.some(({ returned, quantity }) => returned > quantity))
      broken.push(`More of request ${id} came back than was handed out.`);
    if (new Set(handouts.map((each) => each.id)).size !== handouts.length) broken.push(`${id} has a hand-out twice.`);
    if (settledOf(request) < 0) broken.push(`Request ${id} has ${settledOf(request)} settled.`);
  }
  return broken;
}
