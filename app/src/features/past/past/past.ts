/** Everything about the past in one piece, which is loaded when the first of it is shown. */
export { PastBrief, LastFix } from './past-brief';
export { PastScreen, PlacePastScreen } from './past-screen';
export { RememberedJob } from './remembered-job';
