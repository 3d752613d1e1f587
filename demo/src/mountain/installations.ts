import { addMinutes, localDate, type Instant } from '@oilcan/core/kernel';
import type { Code } from '@oilcan/core/raising/labels';
import type { Asset, Installation } from '@oilcan/core/plant/plant';
import type { Sector } from './mountain';
import { settings, tess } from './people';
import { partIdOf } from './stores';

const DAY = 24 * 60;

/** Parts with numbers of their own: in which asset, how many days ago, and for how many days they are under warranty. */
const fitted: readonly (readonly [
  asset: string,
  part: string,
  serial: string,
  daysAgo: number,
  warrantyDays: number | null,
])[] = [
  ['lark-gearbox', 'SEAL-70-90-10', 'S-88213', 33, 180],
  ['lark-gearbox', 'BRG-6308', 'B-20417-A', 1_460, null],
  ['lark-control', 'REL-SAFE-3', 'RS-5520-17', 210, 730],
  ['lark-standby', 'BAT-12V-180', 'LB-2411-3', 400, 365],
  ['lark-standby', 'BAT-12V-180', 'LB-2411-4', 400, 365],
  ['lark-t3', 'SENS-ROPE-POS', 'RP-0931', 610, 1_095],
  ['pump-2', 'PUMP-SEALKIT-80', 'PK-7712', 140, 365],
  ['mast', 'SENS-ANEMO', 'AN-3308', 95, 730],
];

export function installationsOf(sector: Sector, assets: ReadonlyMap<string, Asset>, now: Instant): Installation[] {
  return fitted.flatMap(([key, part, serial, daysAgo, warrantyDays]) => {
    const asset = assets.get(key);
    if (asset === undefined) return [];
    const since = addMinutes(now, -daysAgo * DAY);
    return [
      {
        id: sector.idOf(`installed-${serial.toLowerCase()}`),
        siteId: asset.siteId,
        assetId: asset.id,
        partId: partIdOf(part),
        serial: sector.number === 1 ? serial : `${serial}/${sector.number}`,
        since: localDate(since, settings.zone),
        warrantyUntil: warrantyDays === null ? null : localDate(addMinutes(since, warrantyDays * DAY), settings.zone),
      },
    ];
  });
}

/** Labels of makers that somebody bound to a machine. */
export function codesOf(sector: Sector, assets: ReadonlyMap<string, Asset>, now: Instant): Code[] {
  if (sector.number !== 1) return [];
  return [
    ['PP-2210-0047', 'pump-2'],
    ['BG710/19309', 'lark-gearbox'],
  ].flatMap(([code, key]) => {
    const asset = assets.get(key ?? '');
    if (asset === undefined || code === undefined) return [];
    const at = addMinutes(now, -90 * DAY);
    return [{ id: code, siteId: asset.siteId, assetId: asset.id, by: tess.id, at, previous: [] }];
  });
}
