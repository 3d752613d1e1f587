import type { ReactElement } from 'react';
import { StyleSheet } from 'react-native';
import { mdiBullhornOutline } from '@mdi/js';
import { Icon } from '../../../ui/theme/icon';
import { Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { useRaise } from '../page/use-raise';

/** One press away from everywhere: something is wrong, or has to be done. */
export function RaiseKey({ isRail = false }: { readonly isRail?: boolean }): ReactElement {
  const palette = usePalette();
  const raise = useRaise();
  return (
    <Press onPress={raise} style={isRail ? sheet.rail : sheet.foot}>
      <Icon path={mdiBullhornOutline} size={24} color={palette.green} />
      <AppText as="label" color={palette.green}>
        Raise
      </AppText>
    </Press>
  );
}

const sheet = StyleSheet.create({
  // Four keys of 48 px stand side by side on a phone at 200 % text: 195 px leave them 3.
  foot: {
    flexGrow: 1,
    flexBasis: 0,
    minWidth: 48,
    alignItems: 'center',
    paddingVertical: 10,
    gap: 2,
  },
  rail: { alignItems: 'center', paddingVertical: 12, gap: 2, marginTop: 8 },
});
