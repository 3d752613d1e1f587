import { useMemo } from 'react';
import { byId, type BinId, type PartId, type SiteId, type Thousandths } from '@oilcan/core/kernel';
import { SETTINGS_ID, settingsAt } from '@oilcan/core/orders/settings';
import {
  kitNeeds,
  sitePriceId,
  stockLevelId,
  unitPriceOf,
  usedIn,
  type KitNeed,
  type Part,
  type StockLevel,
  type UnitPrice,
} from '@oilcan/core/stores/stock';
import type { Entry, KitPart, WorkOrder } from '@oilcan/core/orders/work';
import { binName } from '../../words/amounts';
import { peekRow, peekRows, useRow, useRows, useRowsById, useTable } from '../store/store';

/** What one unit of a part costs on a site, by what came in there; undefined before the settings are here. */
export function useUnitPrices(): (part: Part, siteId: SiteId | undefined) => UnitPrice | undefined {
  const prices = useTable('sitePrices');
  const sites = useTable('sites');
  const settings = useRow('settings', SETTINGS_ID);
  return useMemo(() => {
    const onSites = new Map(prices.map((price) => [price.id, price]));
    return (part, siteId) => {
      if (settings === undefined) return undefined;
      const site = sites.find(({ id }) => id === siteId);
      const currencies = { ofSite: settingsAt(settings, site).currency, ofOrganization: settings.currency };
      const onSite = siteId === undefined ? undefined : onSites.get(sitePriceId(siteId, part.id));
      return unitPriceOf(part, onSite, currencies);
    };
  }, [prices, sites, settings]);
}

/** One line of a work order's kit, with what lies in its bin. */
export interface KitLine extends KitNeed {
  readonly onHand: Thousandths;
}

export function kitLines(
  kit: readonly KitPart[],
  entries: readonly Entry[],
  levelOf: (id: string) => StockLevel | undefined,
  partOf: (id: string) => Pick<Part, 'unit'> | undefined,
): KitLine[] {
  return kitNeeds(kit, usedIn(entries), partOf).map((need) => {
    const { partId, binId } = need.planned;
    return { ...need, onHand: levelOf(stockLevelId(partId, binId))?.onHand ?? 0 };
  });
}

/** Whether less is in the bin than is still needed; amounts that cannot be compared are not called short. */
export function isShort({ left, onHand }: KitLine): boolean {
  return left !== null && left > onHand;
}

export function useKitLines(work: WorkOrder): readonly KitLine[] {
  const entries = useRows('entries', 'workOrder', work.kit.length === 0 ? undefined : work.id);
  const levelIds = useMemo(() => work.kit.map(({ partId, binId }) => stockLevelId(partId, binId)), [work.kit]);
  const stock = useRowsById('stock', levelIds);
  return useMemo(() => {
    const levels = byId(stock);
    return kitLines(
      work.kit,
      entries,
      (id) => levels.get(id),
      (id) => peekRow('parts', id),
    );
  }, [work.kit, entries, stock]);
}

/** The kit as it stands, for what is not drawn again with every part that is taken. */
export function peekKitLines(work: WorkOrder): readonly KitLine[] {
  return kitLines(
    work.kit,
    peekRows('entries', 'workOrder', work.id),
    (id) => peekRow('stock', id),
    (id) => peekRow('parts', id),
  );
}

/** Whether the parts are there, in a few words; null when none are planned. */
export function useKitStanding(work: WorkOrder): { readonly words: string; readonly isShort: boolean } | null {
  const lines = useKitLines(work);
  if (lines.length === 0) return null;
  const there = lines.filter((line) => !isShort(line)).length;
  return there === lines.length
    ? { words: 'parts there', isShort: false }
    : { words: lines.length - there === 1 ? '1 part short' : `${lines.length - there} parts short`, isShort: true };
}

/** Where a part lies and how much of it: bins of the given site first, of these the fullest. */
export function useStockOf(partId: PartId | undefined, siteId?: SiteId): readonly StockLevel[] {
  const levels = useRows('stock', 'part', partId);
  return useMemo(() => fullestFirst(levels, siteId), [levels, siteId]);
}

/** The bin of a part of which most is taken, as `useStockOf` orders them; undefined where none has it. */
export function fullestBin(partId: PartId, siteId: SiteId): BinId | undefined {
  return fullestFirst(peekRows('stock', 'part', partId), siteId)[0]?.binId;
}

function fullestFirst(levels: readonly StockLevel[], siteId: SiteId | undefined): StockLevel[] {
  const isNear = (level: StockLevel): number => Number(level.siteId === siteId);
  return [...levels].sort((a, b) => isNear(b) - isNear(a) || b.onHand - a.onHand);
}

/** As `binName`, with the site where it is not that of the work. */
export function useBinName(binId: BinId | undefined, siteId: SiteId): string {
  const bin = useRow('bins', binId);
  const site = useRow('sites', bin?.siteId);
  return bin === undefined || bin.siteId === siteId
    ? binName(bin)
    : `${binName(bin)} at ${site?.name ?? 'another site'}`;
}
