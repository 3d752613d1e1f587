/** What other features may use of this one. */
export { UsualKitChoice, useUsualKit } from './usual-kit';
