import { asId, type CountId, type RequestId, type StoreId, type TransferId } from '../kernel/ids';
import type { Count } from '../subjects/stores/counts/count';
import type { StoreRequest } from '../subjects/stores/requests/request';
import type { Store } from '../subjects/stores/stock/stock';
import type { Transfer } from '../subjects/stores/transfers/transfer';
import { ann, binId, noon, partId, site, workId } from './builders';

/** Made-up rows of the stores for tests. */

export const storeId = asId<StoreId>('store');

export const aStore = (given: Partial<Store> = {}): Store => ({
  id: storeId,
  siteId: site,
  name: 'Base store',
  isAttended: true,
  ...given,
});

export const aRequest = (given: Partial<StoreRequest> = {}): StoreRequest => ({
  id: asId<RequestId>('request'),
  siteId: site,
  storeId,
  workOrderId: workId,
  assetId: null,
  partId,
  words: '',
  photo: null,
  quantity: 2_000,
  unit: 'pcs',
  neededBy: null,
  bringTo: '',
  askedBy: ann.id,
  askedAt: noon,
  handouts: [],
  tookItself: {},
  closed: null,
  endedAt: null,
  ...given,
});

export const aTransfer = (given: Partial<Transfer> = {}): Transfer => ({
  id: asId<TransferId>('transfer'),
  fromSiteId: site,
  toSiteId: site,
  fromStoreId: asId<StoreId>('mid'),
  toStoreId: storeId,
  partId,
  quantity: 1_000,
  workOrderId: null,
  requestId: null,
  note: '',
  askedBy: ann.id,
  askedAt: noon,
  sent: null,
  arrivals: [],
  losses: [],
  closed: null,
  endedAt: null,
  ...given,
});

export const aCount = (given: Partial<Count> = {}): Count => ({
  id: asId<CountId>('count'),
  siteId: site,
  storeId,
  partId,
  binId,
  quantity: 7_000,
  books: 8_000,
  by: ann.id,
  at: noon,
  settled: null,
  endedAt: null,
  ...given,
});
