import type { ReactElement } from 'react';
import { Modal, StyleSheet, View } from 'react-native';
import { mdiClose, mdiMagnifyMinusOutline, mdiMagnifyPlusOutline } from '@mdi/js';
import { IconPress } from '../../../ui/press/press';
import { SmallKey } from '../../../ui/press/small-key';
import { useFocusBack } from '../../../ui/focus/use-focus-back';
import { usePalette } from '../../../ui/theme/use-palette';
import { largerThan, MOST_ENLARGED, smallerThan, useZoom } from '../../../ui/focus/use-zoom';
import { AppText } from '../../../ui/theme/app-text';

interface Props {
  /** Where the browser has it. */
  readonly address: string;
  readonly name: string;
  readonly onClose: () => void;
}

/** A photo over everything: whole at first, enlarged by two fingers or by the keys. */
export function PhotoViewer({ address, name, onClose }: Props): ReactElement {
  const palette = usePalette();
  const { scale, setScale, onFrame } = useZoom();
  useFocusBack();
  return (
    <Modal visible animationType="none" aria-label={name} onRequestClose={onClose}>
      <View style={[sheet.screen, { backgroundColor: palette.paper }]}>
        <View style={sheet.head}>
          <AppText as="label" lines={1} style={sheet.name}>
            {name}
          </AppText>
          <IconPress icon={mdiClose} label="Close" onPress={onClose} />
        </View>
        <div
          ref={onFrame}
          tabIndex={0}
          aria-label={`${name}, enlarged`}
          role="group"
          style={{ flex: 1, minHeight: 0, overflow: 'auto', touchAction: 'pan-x pan-y' }}
        >
          <div style={{ width: `${scale * 100}%`, height: `${scale * 100}%` }}>
            <img
              src={address}
              alt={name}
              style={{ width: '100%', height: '100%', objectFit: 'contain', display: 'block' }}
            />
          </div>
        </div>
        <View role="toolbar" aria-label="Looking at this photo" style={sheet.foot}>
          <SmallKey
            icon={mdiMagnifyMinusOutline}
            word="Smaller"
            disabled={scale <= 1}
            onPress={() => setScale(smallerThan(scale))}
          />
          <SmallKey
            icon={mdiMagnifyPlusOutline}
            word="Larger"
            disabled={scale >= MOST_ENLARGED}
            onPress={() => setScale(largerThan(scale))}
          />
        </View>
      </View>
    </Modal>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  head: { flexDirection: 'row', alignItems: 'center', paddingLeft: 16, paddingRight: 4 },
  name: { flex: 1, minWidth: 0 },
  foot: { flexDirection: 'row', justifyContent: 'center', gap: 8, padding: 8 },
});
