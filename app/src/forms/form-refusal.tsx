import type { ReactElement } from 'react';
import { usePalette } from '../ui/theme/use-palette';
import { AppText } from '../ui/theme/app-text';

/** Why a form was refused, where that is about none of its fields. */
export function FormRefusal({ sentence }: { readonly sentence: string | null }): ReactElement | null {
  const palette = usePalette();
  if (sentence === null) return null;
  return (
    <AppText color={palette.faulty} live>
      {sentence}
    </AppText>
  );
}
