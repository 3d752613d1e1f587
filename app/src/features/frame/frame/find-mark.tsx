import { mdiMagnify } from '@mdi/js';
import { usePathname, useRouter } from 'expo-router';
import type { ReactElement } from 'react';
import { IconPress } from '../../../ui/press/press';

/** Where a field to find with stands in the page itself, or the bar has no room for more. */
const HAS_ITS_OWN = /^\/(shift|find)/;

/** In the bars: the way to whatever is looked for. */
export function FindMark(): ReactElement | null {
  const path = usePathname();
  const router = useRouter();
  if (HAS_ITS_OWN.test(path)) return null;
  return <IconPress icon={mdiMagnify} label="Find anything" onPress={() => router.navigate('/find')} />;
}
