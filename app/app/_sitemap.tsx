/** In the place of the router's own page for developers. */
export { default } from './+not-found';
