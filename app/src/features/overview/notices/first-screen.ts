/** What the first screen uses of this one: kept apart, so that it waits for nothing else. */
export { NoticesMark } from './notices-mark';
