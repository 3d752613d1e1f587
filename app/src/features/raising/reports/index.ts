import { lazyComponent } from '../../../ui/loading/lazy-component';

/** What other features may use of this one; nothing of it is needed for the first screen. */
export const MyReports = lazyComponent(() => import('./my-reports').then((module) => module.MyReports));
export const FoundReports = lazyComponent(() => import('./found-reports').then((module) => module.FoundReports));
export const DeskReports = lazyComponent(() => import('./desk-reports').then((module) => module.DeskReports));
export const AssetReports = lazyComponent(() => import('./asset-reports').then((module) => module.AssetReports));
export const WorkReports = lazyComponent(() => import('./work-reports').then((module) => module.WorkReports));
