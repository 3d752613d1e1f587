/** What other features may use of this one. */
export { FollowAssetButton, FollowButton } from './follow-button';
