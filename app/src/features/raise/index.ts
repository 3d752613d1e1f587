/** What other features may use of this one. */
export { useMadeWork } from './made-work';
export { UsualKitChoice, useUsualKit } from './usual-kit';
