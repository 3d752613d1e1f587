import { withSharedCode } from '../../ui/loading/shared-code';
import type { Rules } from './rules';
import { Unreachable } from '../server/server-link';

let loading: Promise<Rules> | null = null;

/**
 * Loads the rules, once. Whoever applies an operation waits for them; what only shows rows does not.
 *
 * @throws {Unreachable} there is no signal, and this phone does not keep the application yet
 */
export function loadRules(): Promise<Rules> {
  loading ??= withSharedCode(() => import('@oilcan/core/registry/operations')).catch(() => {
    loading = null;
    throw new Unreachable();
  });
  return loading;
}
