import type { AssetId, EntryId, FileId, PlaceId, PointId, SiteId, WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { LocalDay } from '../../../kernel/time/local-day';
import type { PictureType } from '../files/files';

/** Where things stand. Places form a tree within a site. */
export interface Place {
  readonly id: PlaceId;
  readonly siteId: SiteId;
  readonly parentId: PlaceId | null;
  readonly name: string;
}

export interface Nameplate {
  readonly maker: string;
  readonly model: string;
  readonly serial: string;
  /** Calendar date, `2014-10-02`. */
  readonly inServiceSince: string;
  /** Calendar date of the last day under warranty, if there was one. */
  readonly warrantyUntil: string | null;
  /** Rated figures as they stand on the plate, in reading order. */
  readonly ratings: readonly { readonly label: string; readonly value: string }[];
}

export type AssetCondition = 'running' | 'reduced' | 'stopped';

/** A stoppage that lasts, where it was recorded. */
export interface OpenStoppage {
  readonly entryId: EntryId;
  readonly workOrderId: WorkOrderId;
  readonly from: Instant;
  /** Whether it stands still or runs reduced. */
  readonly extent: 'full' | 'reduced';
}

/** A photo or a drawing of a machine. */
export interface AssetPicture {
  readonly fileId: FileId;
  readonly mediaType: PictureType | 'image/svg+xml';
  /** Size in pixels. */
  readonly width: number;
  readonly height: number;
}

/** A maintainable thing. Assets form a tree: what a thing is part of (ISO 14224:2016, figure 3). */
export interface Asset {
  readonly id: AssetId;
  readonly siteId: SiteId;
  readonly placeId: PlaceId;
  readonly parentId: AssetId | null;
  /** The short code on its label. */
  readonly tag: string;
  readonly name: string;
  /** Class of equipment, which its fault choices depend on. */
  readonly equipmentClass: string;
  /** 1 stops the mountain, 4 hardly matters. */
  readonly criticality: 1 | 2 | 3 | 4;
  readonly condition: AssetCondition;
  /** Since when it is in that condition. */
  readonly conditionSince: Instant;
  /** The stoppages that last, by which it is in that condition; absent where none was ever recorded. */
  readonly openStoppages?: readonly OpenStoppage[];
  /** The day from which it is not used any more, for good; absent while it is. */
  readonly retiredOn?: LocalDay;
  /** The machine that stands for it since two rows of one machine were merged; absent where it stands for itself. */
  readonly mergedInto?: AssetId;
  readonly nameplate: Nameplate;
  /** What it looks like; absent where nobody said. */
  readonly picture?: AssetPicture;
  /** Where its costs are charged, by its id in the settings; absent where that is not said. */
  readonly costCentre?: string;
}

/** One value taken at a measuring point. */
export interface ReadingValue {
  readonly at: Instant;
  readonly value: number;
}

export interface Limits {
  readonly alarmLow: number | null;
  readonly alertLow: number | null;
  readonly alertHigh: number | null;
  readonly alarmHigh: number | null;
}

/** Where a reading is taken. A meter is one that only counts up. */
export interface MeasuringPoint {
  readonly id: PointId;
  readonly siteId: SiteId;
  readonly assetId: AssetId;
  readonly name: string;
  readonly unit: string;
  readonly isMeter: boolean;
  readonly limits: Limits;
  /** The span that its scale is drawn over; limits lie inside. */
  readonly scale: { readonly from: number; readonly to: number };
  readonly decimals: number;
  /** The newest values, oldest first, at most five. */
  readonly latest: readonly ReadingValue[];
}

/** How many newest values a measuring point carries with it. */
export const LATEST_VALUES_KEPT = 5;
