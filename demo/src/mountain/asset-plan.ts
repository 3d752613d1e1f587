/** What stands on the mountain, as a tree: a short key names each asset within it. */
export interface AssetPlan {
  readonly key: string;
  readonly tag: string;
  readonly name: string;
  readonly equipmentClass: string;
  readonly place: string;
  readonly site: 'lifts' | 'snow';
  readonly criticality: 1 | 2 | 3 | 4;
  /** Maker, model. All makers are invented. */
  readonly plate: readonly [maker: string, model: string];
  /** Year of entry into service. */
  readonly since: number;
  readonly ratings?: readonly (readonly [label: string, value: string])[];
  readonly parts?: readonly Omit<AssetPlan, 'site'>[];
}
