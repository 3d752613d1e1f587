import {
  asId,
  parseInstant,
  type AssetId,
  type Instant,
  type PlaceId,
  type PointId,
  type SiteId,
} from '@oilcan/core/kernel';
import type { Asset, AssetCondition, Limits, MeasuringPoint, Place, ReadingValue } from '@oilcan/core/plant/plant';
import { randomFor } from '../random';
import type { AssetPlan } from './asset-plan';
import { assetPlans } from './assets';
import { placePlans } from './places';
import { lifts, snow } from './people';
import { pointPlans, type PointPlan } from './points';

/**
 * One copy of the mountain. A larger demo has several sectors, each with all lifts and guns of its own;
 * the first bears the plain names.
 */
export interface Sector {
  readonly number: number;
  /** A key within the mountain to an id that is one sector's own. */
  readonly idOf: (key: string) => string;
  readonly named: (name: string) => string;
}

export function sectorOf(number: number): Sector {
  return {
    number,
    idOf: (key) => (number === 1 ? key : `${key}-s${number}`),
    named: (name) => (number === 1 ? name : `${name} (${number})`),
  };
}

const siteIds: Readonly<Record<'lifts' | 'snow', SiteId>> = { lifts, snow };

/** Assets that are not in order when the demo starts. */
const conditions: Readonly<Record<string, AssetCondition>> = {
  'lark-gearbox': 'reduced',
  'pump-2': 'stopped',
  'gun-14': 'stopped',
  'gun-9': 'reduced',
};

export function placesOf(sector: Sector): Place[] {
  return placePlans.map(([key, name, parent, site]) => ({
    id: asId<PlaceId>(sector.idOf(key)),
    siteId: siteIds[site],
    parentId: parent === null ? null : asId<PlaceId>(sector.idOf(parent)),
    name: sector.named(name),
  }));
}

/** Every asset with the key that processes and plans know it by. */
export function assetsOf(sector: Sector, stoppedSince: Instant): { key: string; asset: Asset }[] {
  return assetPlans.flatMap((root) => [
    { key: root.key, asset: assetFrom(root, null, root.site, sector, stoppedSince) },
    ...(root.parts ?? []).map((part) => ({
      key: part.key,
      asset: assetFrom(part, root.key, root.site, sector, stoppedSince),
    })),
  ]);
}

function assetFrom(
  plan: Omit<AssetPlan, 'site'>,
  parent: string | null,
  site: 'lifts' | 'snow',
  sector: Sector,
  stoppedSince: Instant,
): Asset {
  const random = randomFor(`asset ${sector.number} ${plan.key}`);
  const inServiceSince = `${plan.since}-${String(random.whole(9, 12)).padStart(2, '0')}-${String(random.whole(1, 28)).padStart(2, '0')}`;
  const condition = conditions[plan.key] ?? 'running';
  return {
    id: asId<AssetId>(sector.idOf(plan.key)),
    siteId: siteIds[site],
    placeId: asId<PlaceId>(sector.idOf(plan.place)),
    parentId: parent === null ? null : asId<AssetId>(sector.idOf(parent)),
    tag: sector.number === 1 ? plan.tag : `${plan.tag}/${sector.number}`,
    name: sector.named(plan.name),
    equipmentClass: plan.equipmentClass,
    criticality: plan.criticality,
    condition,
    costCentre: site,
    conditionSince: condition === 'running' ? parseInstant(`${inServiceSince}T08:00:00Z`) : stoppedSince,
    nameplate: {
      maker: plan.plate[0],
      model: plan.plate[1],
      serial: `${plan.tag.slice(0, 2)}${random.whole(10_000, 99_999)}-${String(plan.since).slice(2)}`,
      inServiceSince,
      warrantyUntil: plan.since >= 2018 ? `${plan.since + 8}-12-31` : null,
      ratings: (plan.ratings ?? []).map(([label, value]) => ({ label, value })),
    },
  };
}

const noLimits: Limits = { alarmLow: null, alertLow: null, alertHigh: null, alarmHigh: null };

export function pointsOf(
  sector: Sector,
  siteOf: (assetKey: string) => SiteId,
  latestOf: (pointKey: string) => readonly ReadingValue[],
): MeasuringPoint[] {
  return pointPlans.map((plan) => ({
    id: asId<PointId>(sector.idOf(plan.key)),
    siteId: siteOf(plan.asset),
    assetId: asId<AssetId>(sector.idOf(plan.asset)),
    name: plan.name,
    unit: plan.unit,
    isMeter: plan.isMeter ?? false,
    limits: { ...noLimits, ...plan.limits },
    scale: { from: plan.scale[0], to: plan.scale[1] },
    decimals: plan.decimals,
    latest: latestOf(plan.key),
    ...(plan.derived === undefined ? {} : { derived: plan.derived }),
  }));
}

/** What the point would have shown so many days after the past began. */
export function valueAt(plan: PointPlan, day: number, random: { normal(): number }): number {
  const value = plan.course.start + (plan.course.perYear * day) / 365 + plan.course.spread * random.normal();
  return Number(value.toFixed(plan.decimals));
}
