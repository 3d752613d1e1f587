import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from '../../ui/icon';
import { Press } from '../../ui/press';
import { CORNER, RULE, useIsWide } from '../../ui/theme';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { useRaise } from '../page/use-raise';
import { MOST_ENLARGED } from './use-zoom';
import { mdiBullhornOutline, mdiFileDocumentOutline, mdiMagnifyMinusOutline, mdiMagnifyPlusOutline } from '@mdi/js';

/** The steps of the two keys; fingers stop anywhere between. */
const scales = [1, 1.5, 2, 3, 4, MOST_ENLARGED] as const;

const smallerThan = (scale: number): number => scales.findLast((each) => each < scale) ?? 1;
const largerThan = (scale: number): number => scales.find((each) => each > scale) ?? MOST_ENLARGED;

interface Props {
  readonly scale: number;
  readonly onScale: (scale: number) => void;
  readonly onSave: () => void;
  readonly children?: ReactNode;
}

/** At the foot of a document, within the thumb's reach: smaller, larger, keep, and what its kind adds. */
export function ViewerFoot({ scale, onScale, onSave, children }: Props): ReactElement {
  const palette = usePalette();
  const isWide = useIsWide();
  const raise = useRaise();
  return (
    <View
      role="toolbar"
      aria-label="Reading this document"
      style={[sheet.foot, { borderColor: palette.line, backgroundColor: palette.card }]}
    >
      {children}
      <FootKey
        icon={mdiMagnifyMinusOutline}
        word="Smaller"
        disabled={scale <= 1}
        onPress={() => onScale(smallerThan(scale))}
      />
      <FootKey
        icon={mdiMagnifyPlusOutline}
        word="Larger"
        disabled={scale >= MOST_ENLARGED}
        onPress={() => onScale(largerThan(scale))}
      />
      <FootKey icon={mdiFileDocumentOutline} word="Save" onPress={onSave} />
      {/* On a wide screen it stands in the rail. */}
      {isWide ? null : <FootKey icon={mdiBullhornOutline} word="Raise" onPress={raise} />}
    </View>
  );
}

export function FootKey({
  icon,
  word,
  onPress,
  disabled = false,
}: {
  readonly icon: string;
  readonly word: string;
  readonly onPress: () => void;
  readonly disabled?: boolean;
}): ReactElement {
  const palette = usePalette();
  return (
    <Press
      onPress={onPress}
      disabled={disabled}
      style={[sheet.key, { borderColor: palette.edge }, disabled && sheet.off]}
    >
      <Icon path={icon} />
      <Words as="mark" lines={1}>
        {word}
      </Words>
    </Press>
  );
}

const sheet = StyleSheet.create({
  foot: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, padding: 8, borderTopWidth: RULE, justifyContent: 'center' },
  key: {
    flexGrow: 1,
    maxWidth: 120,
    alignItems: 'center',
    borderWidth: RULE,
    borderRadius: CORNER,
    paddingHorizontal: 6,
  },
  off: { opacity: 0.45 },
});
