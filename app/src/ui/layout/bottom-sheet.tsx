import { useContext, useEffect, useId, useState, type ReactElement, type ReactNode } from 'react';
import { Modal, ScrollView, StyleSheet, View } from 'react-native';
import { useFocusBack } from '../focus/use-focus-back';
import { useNotice } from '../state/use-notice';
import { IconPress } from '../press/press';
import { SheetTop } from './sheet-top';
import { RULE, useHeightOfLow, useIsWindowWide } from '../theme/theme';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';
import { mdiClose } from '@mdi/js';

interface Props {
  readonly title: string;
  /** Beside the title, quieter. */
  readonly aside?: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  /** Stays in sight at the foot while the rest scrolls. */
  readonly foot?: ReactNode;
}

/**
 * What lies behind is out of reach until the whole press is over: it closes by the click, which comes last, and only by one that also
 * began on it, so that letting go of a selection there closes nothing.
 */
function Veil({ onPress }: { readonly onPress: () => void }): ReactElement {
  return <View style={StyleSheet.absoluteFill} {...{ onClick: onPress }} testID="veil" />;
}

/** A sheet that closes with what it did is gone by then, and the notice is seen in its own place. */
const STAYS_MILLISECONDS = 150;

/** What is said while the sheet stays open: behind it nobody would see or hear it. */
function SheetNotice(): ReactElement {
  const text = useNotice((state) => state.text);
  const [before] = useState(text);
  const [shown, setShown] = useState<string | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setShown(text), STAYS_MILLISECONDS);
    return () => clearTimeout(timer);
  }, [text]);
  return (
    <View aria-live="polite" style={sheet.notice}>
      {shown === null || shown === before ? null : <AppText as="label">{shown}</AppText>}
    </View>
  );
}

/** What opens over the work: from below on a phone, in the middle on a wide screen. Escape and the veil close it. */
export function BottomSheet({ title, aside, onClose, children, foot }: Props): ReactElement {
  const palette = usePalette();
  const isWide = useIsWindowWide();
  const isLow = useHeightOfLow() !== null;
  const titleId = useId();
  useFocusBack();
  const top = useContext(SheetTop);
  const head = (
    <View style={sheet.head}>
      <View style={sheet.words}>
        <AppText as="title" level={2} id={titleId} style={sheet.title}>
          {title}
        </AppText>
        {aside === undefined ? null : (
          <AppText as="mark" soft lines={2} style={sheet.aside}>
            {aside}
          </AppText>
        )}
      </View>
      <IconPress icon={mdiClose} label="Close" onPress={onClose} />
    </View>
  );
  const feet = (
    <>
      <SheetNotice />
      {foot === undefined ? null : <View style={sheet.foot}>{foot}</View>}
    </>
  );
  return (
    <Modal transparent visible animationType="none" aria-labelledby={titleId} onRequestClose={onClose}>
      <View style={[sheet.veil, isWide && sheet.veilWide, { backgroundColor: palette.veil }]}>
        <Veil onPress={onClose} />
        <View
          style={[sheet.panel, isWide && sheet.panelWide, { backgroundColor: palette.paper, borderColor: palette.ink }]}
        >
          {isLow ? null : head}
          <ScrollView style={sheet.body} contentContainerStyle={sheet.content} keyboardShouldPersistTaps="handled">
            {isLow ? head : null}
            {top}
            {children}
            {isLow ? feet : null}
          </ScrollView>
          {isLow ? null : feet}
        </View>
      </View>
    </Modal>
  );
}

const sheet = StyleSheet.create({
  veil: { flex: 1, justifyContent: 'flex-end' },
  veilWide: { justifyContent: 'center', alignItems: 'center' },
  panel: { maxHeight: '92%', borderTopWidth: RULE, paddingBottom: 12 },
  panelWide: { width: 460, borderWidth: RULE, borderRadius: 4, maxHeight: '88%' },
  head: { flexDirection: 'row', alignItems: 'center', gap: 4, paddingLeft: 16, paddingTop: 6, paddingRight: 4 },
  // With very large text what stands aside goes under the title.
  words: { flex: 1, minWidth: 0, flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 12 },
  title: { flexShrink: 1, flexGrow: 1 },
  aside: { flexShrink: 1 },
  body: { flexGrow: 0, flexShrink: 1 },
  content: { paddingHorizontal: 16, paddingTop: 4, paddingBottom: 12, gap: 12 },
  notice: { paddingHorizontal: 16 },
  foot: { paddingHorizontal: 16, paddingTop: 8, gap: 8 },
});
