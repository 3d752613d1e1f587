import { useContext, type ReactElement, type ReactNode } from 'react';
import { Repeatable } from '../../../ui/press/touchable';
import { StyleSheet, View } from 'react-native';
import { Appbar } from 'react-native-paper';
import { usePhone } from '../../../data/store/store';
import { useInPlaceOfFirstPaint } from '../../../ui/loading/first-paint';
import { IconPress } from '../../../ui/press/press';
import { RULE, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { usePageTitle } from '../../../ui/focus/use-page-title';
import { AppText } from '../../../ui/theme/app-text';
import { useMarks } from './marks';
import { HasBannerBeside, IsBesideMain } from './pane';
import { mdiArrowLeft } from '@mdi/js';

interface Props {
  readonly title: string;
  /** What the page is called in the browser, where that is more than its title. */
  readonly pageTitle?: string;
  readonly aside?: string;
  readonly onBack?: () => void;
  /** Where that leads, for a screen reader. */
  readonly backTo?: string;
  /** Stands beside another bar, which says what holds for both. */
  readonly isBeside?: boolean;
  /** The content begins with its own name, which is the heading of the page: this is a number, or a kind. */
  readonly isNamedBelow?: boolean;
  readonly children?: ReactNode;
}

/** Slim bar at the head of a screen: where I am, and whether all is sent. */
export function TopBar({
  title,
  pageTitle = title,
  aside,
  onBack,
  backTo = 'Shift',
  isBeside = false,
  isNamedBelow = false,
  children,
}: Props): ReactElement {
  usePageTitle(pageTitle);
  useInPlaceOfFirstPaint();
  const { Site, Marks, Sent } = useMarks();
  const isPlace = onBack === undefined && !isBeside;
  const hasSites = usePhone((state) => (state.person?.siteIds.length ?? 0) > 1);
  const isWide = useIsWide();
  const isOverSite = isPlace && hasSites && !isWide;
  const palette = usePalette();
  const isBesideMain = useContext(IsBesideMain);
  const isBanner = !useContext(HasBannerBeside) && !isBeside;
  const level = isBesideMain ? { level: 2 as const } : isNamedBelow ? {} : { level: 1 as const };
  return (
    <Appbar
      {...(isBanner ? { role: 'banner' as const } : {})}
      style={StyleSheet.flatten([
        sheet.bar,
        onBack !== undefined && sheet.barWithin,
        { borderColor: palette.line, backgroundColor: palette.paper },
      ])}
    >
      {onBack === undefined ? null : (
        <Repeatable value>
          <IconPress icon={mdiArrowLeft} label={`Back to ${backTo}`} onPress={onBack} style={sheet.back} />
        </Repeatable>
      )}
      <View style={[sheet.title, isOverSite && sheet.overSite]}>
        {isOverSite ? <Site /> : null}
        <AppText
          as={onBack !== undefined ? 'label' : isOverSite ? 'heading' : 'title'}
          {...level}
          style={[aside === undefined ? sheet.alone : sheet.name, isOverSite && sheet.untouched]}
        >
          {title}
        </AppText>
        {aside === undefined ? null : (
          <AppText as="mark" soft lines={1} style={sheet.aside}>
            {aside}
          </AppText>
        )}
      </View>
      {isPlace && isWide ? <Site /> : null}
      {children}
      {isBeside ? null : onBack === undefined ? <Marks /> : <Sent />}
    </Appbar>
  );
}

const sheet = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    // With very large text the marks go onto a second line.
    flexWrap: 'wrap',
    alignContent: 'center',
    alignItems: 'center',
    justifyContent: 'flex-end',
    // As high as its words, and at least so high.
    height: 'auto',
    minHeight: 56,
    paddingLeft: 16,
    paddingRight: 4,
    borderBottomWidth: RULE,
  },
  // Without the person's mark, which has a margin of its own, the bar ends where the page does.
  barWithin: { paddingRight: 12 },
  // Beside other words the name stays whole and they give way; alone it takes more lines.
  name: { flexShrink: 0 },
  alone: { flexShrink: 1, minWidth: 0 },
  aside: { flexShrink: 1, minWidth: 0 },
  back: { marginLeft: -12 },
  title: {
    flexGrow: 1,
    flexShrink: 1,
    flexBasis: 64,
    flexDirection: 'row',
    alignItems: 'baseline',
    gap: 8,
    minWidth: 0,
  },
  // On a phone the site stands under the title, and both together are pressed to choose another.
  overSite: { minHeight: 56, paddingBottom: 18, alignItems: 'center' },
  untouched: { ...({ pointerEvents: 'none' } as object) },
});
