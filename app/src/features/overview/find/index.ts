import { lazyComponent } from '../../../ui/loading/lazy-component';
import { withSharedCode } from '../../../ui/loading/shared-code';

/** Somebody turned to a field to find with: its code comes, and what can be found is made ready while the keyboard does. */
export async function turnToFinding(): Promise<void> {
  const { prepareFinding } = await withSharedCode(() => import('./found-list'));
  prepareFinding();
}

/** What other features may use of this one; loaded when somebody first looks for something. */
export const FoundList = lazyComponent(() => import('./found-list').then((module) => module.FoundList));
