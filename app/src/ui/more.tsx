import { mdiChevronDown, mdiChevronUp } from '@mdi/js';
import { useState, type ReactElement, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from './press';
import { GAP } from './theme';

interface Props {
  /** What there is more of, for who hears it without what stands around it. */
  readonly label: string;
  readonly word?: string;
  readonly children: ReactNode;
}

/** What is rarely needed: folded away behind one quiet key. What it opens stays open until it is folded again. */
export function More({ label, word = 'More', children }: Props): ReactElement {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <View style={sheet.more}>
      <Button
        rank="quiet"
        word={isOpen ? 'Less' : word}
        label={isOpen ? `Less: ${label}` : `${word}: ${label}`}
        icon={isOpen ? mdiChevronUp : mdiChevronDown}
        isExpanded={isOpen}
        onPress={() => setIsOpen(!isOpen)}
        style={sheet.key}
      />
      {isOpen ? (
        <View role="group" aria-label={label} style={sheet.what}>
          {children}
        </View>
      ) : null}
    </View>
  );
}

const sheet = StyleSheet.create({
  more: { gap: GAP },
  key: { alignSelf: 'flex-start' },
  what: { flexDirection: 'row', flexWrap: 'wrap', gap: GAP },
});
