/** What other features may use of this one. */
export { madeWords, useMadeWork } from './made-work';
export { UsualKitChoice, useUsualKit } from './usual-kit';
