import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { SmallKey } from '../../../ui/press/small-key';
import { RULE, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { useRaise } from '../../frame/page/use-raise';
import { largerThan, MOST_ENLARGED, smallerThan } from '../../../ui/focus/use-zoom';
import { mdiBullhornOutline, mdiFileDocumentOutline, mdiMagnifyMinusOutline, mdiMagnifyPlusOutline } from '@mdi/js';

interface Props {
  readonly scale: number;
  readonly onScale: (scale: number) => void;
  /** Where it stands here; absent where it stands elsewhere on the page. */
  readonly onSave?: () => void;
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
      <SmallKey
        icon={mdiMagnifyMinusOutline}
        word="Smaller"
        disabled={scale <= 1}
        onPress={() => onScale(smallerThan(scale))}
      />
      <SmallKey
        icon={mdiMagnifyPlusOutline}
        word="Larger"
        disabled={scale >= MOST_ENLARGED}
        onPress={() => onScale(largerThan(scale))}
      />
      {onSave === undefined ? null : <SaveKey onSave={onSave} />}
      {/* On a wide screen it stands in the rail. */}
      {isWide ? null : <SmallKey icon={mdiBullhornOutline} word="Raise" onPress={raise} />}
    </View>
  );
}

/** Keeps the document outside of Oilcan. */
export function SaveKey({ onSave }: { readonly onSave: () => void }): ReactElement {
  return <SmallKey icon={mdiFileDocumentOutline} word="Save" onPress={onSave} />;
}

const sheet = StyleSheet.create({
  foot: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, padding: 8, borderTopWidth: RULE, justifyContent: 'center' },
});
