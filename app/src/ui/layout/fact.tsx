import { mdiPencilOutline } from '@mdi/js';
import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from '../theme/icon';
import { Press } from '../press/press';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

interface FactProps {
  readonly icon?: string;
  readonly words: string;
  /** It is what one must not overlook. */
  readonly isStrong?: boolean;
  readonly color?: string;
}

/** A fact: never drawn like a key. */
export function Fact({ icon, words, isStrong = false, color }: FactProps): ReactElement {
  return (
    <View style={sheet.fact}>
      {icon === undefined ? null : <Icon path={icon} size={17} {...(color === undefined ? {} : { color })} />}
      <AppText as={isStrong ? 'label' : 'mark'} {...(color === undefined ? {} : { color })}>
        {words}
      </AppText>
    </View>
  );
}

interface FactKeyProps {
  /** What a screen reader says: what it is now, and that it can be changed. */
  readonly label: string;
  readonly onPress: () => void;
  readonly children: ReactNode;
}

/** A fact that can be changed: underlined, with its pen. */
export function FactKey({ label, onPress, children }: FactKeyProps): ReactElement {
  const palette = usePalette();
  return (
    <Press onPress={onPress} label={label}>
      <View style={[sheet.changeable, { borderColor: palette.edge }]}>
        {children}
        <Icon path={mdiPencilOutline} size={16} color={palette.inkSoft} />
      </View>
    </Press>
  );
}

const sheet = StyleSheet.create({
  fact: { flexDirection: 'row', alignItems: 'center', gap: 4 },
  changeable: { flexDirection: 'row', alignItems: 'center', gap: 5, borderBottomWidth: 2, paddingBottom: 1 },
});
