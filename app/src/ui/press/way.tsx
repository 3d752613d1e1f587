import { mdiChevronRight } from '@mdi/js';
import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from '../theme/icon';
import { LinkPress } from './link-press';
import { Press } from './press';
import { useIsNarrow } from '../theme/theme';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

interface Props {
  readonly title: string;
  /** Says more under it, in smaller type. */
  readonly more?: string;
  /** A word or a figure before the chevron. */
  readonly aside?: string;
  readonly icon?: string;
  /** What a screen reader says; without it all that is to be read. */
  readonly label?: string;
  /** Where it leads; without it `onPress` opens something over this page. */
  readonly href?: string;
  readonly onPress?: () => void;
}

/** A way to another page, or to a sheet over this one: a row with a chevron at its end. */
export function Way({ title, more, aside, icon, label, href, onPress = () => undefined }: Props): ReactElement {
  const palette = usePalette();
  const isNarrow = useIsNarrow();
  const row = (
    <View style={sheet.inside}>
      {icon === undefined ? null : <Icon path={icon} />}
      <View style={sheet.words}>
        <AppText>{title}</AppText>
        {more === undefined ? null : (
          <AppText as="small" soft>
            {more}
          </AppText>
        )}
        {/* With very large text it has no room beside the words. */}
        {aside === undefined || !isNarrow ? null : (
          <AppText as="mark" soft>
            {aside}
          </AppText>
        )}
      </View>
      {aside === undefined || isNarrow ? null : (
        <AppText as="mark" soft>
          {aside}
        </AppText>
      )}
      <Icon path={mdiChevronRight} color={palette.inkSoft} />
    </View>
  );
  const look = [sheet.row, { borderColor: palette.line }];
  const named = label === undefined ? {} : { label };
  return href === undefined ? (
    <Press onPress={onPress} {...named} style={look}>
      {row}
    </Press>
  ) : (
    <LinkPress href={href} {...named} style={look}>
      {row}
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  row: { borderBottomWidth: 1, paddingVertical: 8 },
  inside: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  words: { flex: 1, minWidth: 0 },
});
