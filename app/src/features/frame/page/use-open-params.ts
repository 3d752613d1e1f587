import { useGlobalSearchParams, useRootNavigationState } from 'expo-router';
import { openParams } from './open-params';

/**
 * The parameters of the view that is open. The router's own for layouts also keep those of the address at which the
 * application was loaded, wherever the person went from there.
 */
export function useOpenParams(): Readonly<Record<string, string>> {
  // Draws anew when any of them changes.
  useGlobalSearchParams();
  return openParams(useRootNavigationState());
}
