import type { AssetPlan } from './asset-plan';
import { lark } from './lark';
import { juniper, pocket } from './other-lifts';
import { snowPlant } from './snow-plant';

/** Everything that stands on the mountain. */
export const assetPlans: readonly AssetPlan[] = [lark, juniper, pocket, snowPlant];
