import { anyEntryKind } from '../subjects/orders/work/entry-kinds';
import { entryKinds } from './entries';
import { tableNamed, tableNames } from './tables';

/** The version of the protocol with which the newest table or kind of entry came. */
export const NEWEST_VERSION = Math.max(
  ...tableNames.map((name) => tableNamed(name).since),
  ...Object.keys(entryKinds).map((kind) => anyEntryKind(entryKinds, kind)?.since ?? 0),
);
