import { piece } from '../../../ui/loading/piece';

/** What other features may use of this one; nothing of it is needed for the first screen. */
export const MyReports = piece(() => import('./my-reports').then((module) => module.MyReports));
export const FoundReports = piece(() => import('./found-reports').then((module) => module.FoundReports));
export const DeskReports = piece(() => import('./desk-reports').then((module) => module.DeskReports));
export const AssetReports = piece(() => import('./asset-reports').then((module) => module.AssetReports));
export const WorkReports = piece(() => import('./work-reports').then((module) => module.WorkReports));
