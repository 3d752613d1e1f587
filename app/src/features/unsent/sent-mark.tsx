import { lazy, useState, type ReactElement } from 'react';
import { StyleSheet } from 'react-native';
import { Icon } from '../../ui/icon';
import { Press } from '../../ui/press';
import { Words } from '../../ui/words';
import { standingOf } from './standing';
import { useFacts } from './use-facts';
import { Piece } from '../../ui/piece';

/** Opened now and then, and not needed for the first screen. */
const KeptSheet = lazy(() => import('./kept-sheet').then((module) => ({ default: module.KeptSheet })));

/** In the top bar: says how things stand, and opens the list of what is not sent. */
export function SentMark(): ReactElement {
  const standing = standingOf(useFacts());
  const [isOpen, setIsOpen] = useState(false);
  return (
    <>
      <Press onPress={() => setIsOpen(true)} style={sheet.mark} testID="sent-mark">
        <Icon name={standing.icon} size={18} />
        <Words as="mark" lines={2} style={sheet.words} live>
          {standing.words}
        </Words>
      </Press>
      {isOpen ? (
        <Piece>
          <KeptSheet onClose={() => setIsOpen(false)} />
        </Piece>
      ) : null}
    </>
  );
}

const sheet = StyleSheet.create({
  mark: { flexDirection: 'row', alignItems: 'center', gap: 6, paddingHorizontal: 8, flexShrink: 1 },
  words: { flexShrink: 1 },
});
