import { registerIdOf, type HazardRegister } from '@oilcan/core/orders/hazards';
import type { SiteId } from '@oilcan/core/kernel';
import type { Asset, Place } from '@oilcan/core/plant/plant';
import type { IsolationPoint } from '@oilcan/core/orders/work';
import { diesel, hazardList, heat, height, noise, pressure, rope, rotating, spring, voltage } from '../open/hazards';
import { isolationOfMachine } from '../open/isolation';
import type { Sector } from './mountain';
import { lifts, snow } from './people';

/** What endangers people at each machine of a class. */
const ofClass: readonly (readonly [site: SiteId, equipmentClass: string, hazards: readonly string[]])[] = [
  [lifts, 'gearbox', [rotating, heat]],
  [lifts, 'brake', [rotating]],
  [lifts, 'electric-motor', [voltage, rotating]],
  [lifts, 'combustion-engine', [diesel, rotating]],
  [lifts, 'control-cabinet', [voltage]],
  [lifts, 'hydraulic-unit', [pressure]],
  [lifts, 'conveyor', [rotating]],
  [lifts, 'sheave-train', [height, rope]],
  [lifts, 'winch', [rope]],
  [lifts, 'grip', [spring]],
  [snow, 'pump', [rotating, pressure, voltage]],
  [snow, 'compressor', [heat, pressure]],
  [snow, 'snow-gun', [pressure]],
];

const ofMachine: Readonly<Record<string, readonly string[]>> = {
  'lark-gearbox': [rope],
  'lark-service-brake': [rope],
  'lark-tension': [rope],
  'pump-2': [],
};

const ofPlace: Readonly<Record<string, readonly string[]>> = { 'pump-house': [noise], ridge: [height] };

/** The hazard register of a sector; what is said of whole classes comes with the first. */
export function hazardRegisterOf(
  sector: Sector,
  assets: ReadonlyMap<string, Asset>,
  places: readonly Place[],
): HazardRegister[] {
  const registerOf = (
    id: string,
    siteId: SiteId,
    keys: readonly string[],
    isolation: readonly IsolationPoint[] = [],
  ) => ({
    id,
    siteId,
    hazards: keys.map((key) => {
      const [hazard, control] = hazardList[key] ?? ['', ''];
      return { id: key, hazard, control };
    }),
    isolation,
  });
  const classes = sector.number > 1 ? [] : ofClass;
  return [
    ...classes.map(([siteId, name, keys]) => registerOf(registerIdOf.equipmentClass(siteId, name), siteId, keys)),
    ...Object.entries(ofMachine).flatMap(([key, keys]) => {
      const asset = assets.get(key);
      const isolation = isolationOfMachine[key] ?? [];
      return asset === undefined ? [] : [registerOf(registerIdOf.asset(asset.id), asset.siteId, keys, isolation)];
    }),
    ...Object.entries(ofPlace).flatMap(([key, keys]) => {
      const place = places.find(({ id }) => id === sector.idOf(key));
      return place === undefined ? [] : [registerOf(registerIdOf.place(place.id), place.siteId, keys)];
    }),
  ];
}
