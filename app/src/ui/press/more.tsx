import { mdiChevronDown, mdiChevronUp } from '@mdi/js';
import { useState, type ReactElement, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from '../theme/icon';
import { Press } from './press';
import { GAP } from '../theme/theme';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

interface Props {
  /** What there is more of, for who hears it without what stands around it. */
  readonly label: string;
  readonly word?: string;
  readonly children: ReactNode;
}

/** What is rarely needed: folded away behind one quiet key. What it opens stays open until it is folded again. */
export function More({ label, word = 'More', children }: Props): ReactElement {
  const palette = usePalette();
  const [isOpen, setIsOpen] = useState(false);
  return (
    <View style={sheet.more}>
      <Press
        onPress={() => setIsOpen(!isOpen)}
        label={isOpen ? `Less: ${label}` : `${word}: ${label}`}
        isExpanded={isOpen}
        style={sheet.key}
      >
        <View style={sheet.line}>
          <Icon path={isOpen ? mdiChevronUp : mdiChevronDown} size={20} color={palette.green} />
          <AppText as="label" color={palette.green}>
            {isOpen ? 'Less' : word}
          </AppText>
        </View>
      </Press>
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
  key: { alignSelf: 'flex-start', paddingRight: 12 },
  line: { flexDirection: 'row', alignItems: 'center', gap: GAP },
  what: { flexDirection: 'row', flexWrap: 'wrap', gap: GAP },
});
