import { asId, type AssetId, type PersonId, type SiteId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import { anAsset, aPerson, aSite, aWorkOrder, put, someSettings } from '@oilcan/core/testing';

/** People at a site, of whom the first leads; each has a job of their own. */
const AT_A_SITE = 50;

const siteOf = (index: number): SiteId => asId<SiteId>(`site-${Math.floor(index / AT_A_SITE)}`);
const workOf = (index: number): WorkOrderId => asId<WorkOrderId>(`job-${index}`);

export function personOf(index: number): Person {
  const id = asId<PersonId>(`person-${index}`);
  const isLead = index % AT_A_SITE === 0;
  return aPerson({ id, name: id, siteIds: [siteOf(index)], roles: isLead ? ['lead'] : ['technician'] });
}

/** The jobs on which somebody records: their own and those of two others of their site. */
export function worksOf(index: number): WorkOrderId[] {
  const first = index - (index % AT_A_SITE);
  return [0, 1, 7].map((step) => workOf(first + ((index + step) % AT_A_SITE)));
}

/** Sites of fifty people with fifty jobs. */
export function worksFor(people: number): Change[] {
  const all = Array.from({ length: people }, (_, index) => index);
  const firsts = all.filter((index) => index % AT_A_SITE === 0);
  return [
    put('settings', someSettings()),
    ...firsts.map((index) => put('sites', aSite({ id: siteOf(index), name: siteOf(index) }))),
    ...firsts.map((index) =>
      put('assets', anAsset({ id: asId<AssetId>(`asset-${siteOf(index)}`), siteId: siteOf(index) })),
    ),
    ...all.map((index) => put('people', personOf(index))),
    ...all.map((index) =>
      put(
        'workOrders',
        aWorkOrder({
          id: workOf(index),
          number: `W-${index + 1}`,
          siteId: siteOf(index),
          assetId: asId<AssetId>(`asset-${siteOf(index)}`),
          personIds: [personOf(index).id],
        }),
      ),
    ),
  ];
}
