import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePhone, useRow } from '../../../data/store/store';
import { Icon } from '../../../ui/theme/icon';
import { Press } from '../../../ui/press/press';
import { useIsWide } from '../../../ui/theme/theme';
import { AppText } from '../../../ui/theme/app-text';
import { useSite } from '../page/use-site';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { mdiChevronDown } from '@mdi/js';

const SiteSheet = lazyComponent(() => import('./site-sheet').then((module) => module.SiteSheet));

/** Which of my sites I look at; nothing for somebody with one site only. */
export function SiteMark(): ReactElement | null {
  const hasSeveral = usePhone((state) => (state.person?.siteIds.length ?? 0) > 1);
  const site = useSite();
  const name = useRow('sites', site)?.name;
  const [isOpen, setIsOpen] = useState(false);
  const isWide = useIsWide();
  if (!hasSeveral) return null;
  const word = name ?? 'All sites';
  return (
    <>
      <Press onPress={() => setIsOpen(true)} label={`Site: ${word}`} style={[sheet.mark, !isWide && sheet.underTitle]}>
        <View style={sheet.line}>
          <AppText as={isWide ? 'mark' : 'small'} lines={1}>
            {word}
          </AppText>
          <Icon path={mdiChevronDown} size={18} />
        </View>
      </Press>
      {isOpen ? <SiteSheet onClose={() => setIsOpen(false)} /> : null}
    </>
  );
}

const sheet = StyleSheet.create({
  mark: { flexShrink: 1 },
  // On a phone it is pressed as high as the bar, and stands under the title.
  underTitle: {
    position: 'absolute',
    top: 0,
    bottom: 0,
    left: 0,
    right: 0,
    justifyContent: 'flex-end',
    paddingBottom: 6,
  },
  line: { flexDirection: 'row', alignItems: 'center', gap: 2 },
});
