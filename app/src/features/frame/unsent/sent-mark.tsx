import { useState, type ReactElement } from 'react';
import { StyleSheet } from 'react-native';
import { Icon } from '../../../ui/theme/icon';
import { Press } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { statusOf } from './status';
import { useFacts } from './use-facts';
import { lazyComponent } from '../../../ui/loading/lazy-component';

/** Opened now and then, and not needed for the first screen. */
const KeptSheet = lazyComponent(() => import('./kept-sheet').then((module) => module.KeptSheet));

/** In the top bar: says how things stand, and opens the list of what is not sent. */
export function SentMark(): ReactElement {
  const status = statusOf(useFacts());
  const [isOpen, setIsOpen] = useState(false);
  return (
    <>
      <Press onPress={() => setIsOpen(true)} style={sheet.mark} testID="sent-mark">
        <Icon path={status.icon} size={18} />
        <AppText as="mark" lines={2} style={sheet.words}>
          {status.words}
        </AppText>
      </Press>
      {isOpen ? <KeptSheet onClose={() => setIsOpen(false)} /> : null}
    </>
  );
}

const sheet = StyleSheet.create({
  // Longer words take two lines here rather than a second line of the whole bar.
  mark: { flexDirection: 'row', alignItems: 'center', gap: 6, paddingHorizontal: 4, flexShrink: 1, maxWidth: 124 },
  words: { flexShrink: 1 },
});
