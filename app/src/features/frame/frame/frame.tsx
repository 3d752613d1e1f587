import { usePathname } from 'expo-router';
import { useEffect, type ReactElement, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Person } from '@oilcan/core/plant/people';
import { Icon } from '../../../ui/theme/icon';
import { LinkPress } from '../../../ui/press/link-press';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { RULE, useHeightOfLow, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { useSeen } from '../../past/digest';
import { keepEarlyKeys } from '../keys/early-keys';
import { MarksContext, noMarks } from '../page/marks';
import { SpokenStanding } from '../unsent';
import { ClockBar, KeepingBar, UpdateBar } from './bars';
import { useKeptFocus } from './use-kept-focus';
import { RaiseKey } from './raise-key';
import { SkipToMain } from './skip-to-main';
import { topBarMarks } from './top-bar-marks';
import { placesFor, type AppPlace } from '../page/places';
import { useNotedTrail } from '../page/use-back';
import { mdiOil } from '@mdi/js';

/** Only wide screens have keys; Shift has its own. */
const FindKey = lazyComponent(() => import('./find-key').then((module) => module.FindKey));

interface Props {
  readonly person: Person;
  /** While their rows are read: what bars say of them waits. */
  readonly isOpening?: boolean;
  readonly children: ReactNode;
}

/** Around every screen of a signed-in person: the places at the foot of a phone, at the left of a wide screen. */
export function Frame({ person, isOpening = false, children }: Props): ReactElement {
  const palette = usePalette();
  const isWide = useIsWide();
  const low = useHeightOfLow();
  const scrolls = low === null ? sheet.whole : [sheet.whole, sheet.scrolls];
  const page = low === null ? sheet.whole : { height: low };
  useNotedTrail();
  useSeen();
  useKeptFocus();
  useEffect(() => (isWide ? keepEarlyKeys() : undefined), [isWide]);
  const path = usePathname();
  const isSheet = /^\/(shift\/.+|plant\/document\/|raise)/.test(path);
  const places = placesFor(person);
  const marks = isOpening ? noMarks : topBarMarks;
  if (isWide) {
    return (
      <View style={scrolls}>
        <View style={[page, sheet.wide, { backgroundColor: palette.paper }]}>
          <SkipToMain />
          <SpokenStanding />
          {path.startsWith('/shift') ? null : <FindKey />}
          <View role="navigation" aria-label="Places" style={[sheet.rail, { borderColor: palette.line }]}>
            <View style={sheet.sign} aria-hidden>
              <Icon path={mdiOil} size={34} color={palette.green} />
            </View>
            {places.map((place) => (
              <PlaceLink key={place.href} place={place} isRail />
            ))}
            <RaiseKey isRail />
          </View>
          <View id="main" style={sheet.main}>
            <KeepingBar />
            {isSheet ? null : <ClockBar />}
            {isSheet ? null : <UpdateBar />}
            <MarksContext value={marks}>{children}</MarksContext>
          </View>
        </View>
      </View>
    );
  }
  return (
    <View style={scrolls}>
      <View style={[page, { backgroundColor: palette.paper }]}>
        <SkipToMain />
        <SpokenStanding />
        <KeepingBar />
        {isSheet ? null : <ClockBar />}
        {isSheet ? null : <UpdateBar />}
        <View id="main" style={sheet.main}>
          <MarksContext value={marks}>{children}</MarksContext>
        </View>
        {isSheet ? null : (
          <View
            role="navigation"
            aria-label="Places"
            style={[sheet.foot, { borderColor: palette.line, backgroundColor: palette.card }]}
          >
            {places.map((place) => (
              <PlaceLink key={place.href} place={place} />
            ))}
            <RaiseKey />
          </View>
        )}
      </View>
    </View>
  );
}

function PlaceLink({ place, isRail = false }: { readonly place: AppPlace; readonly isRail?: boolean }): ReactElement {
  const palette = usePalette();
  const isHere = usePathname().startsWith(place.href);
  const mark = { borderColor: isHere ? palette.green : 'transparent' };
  return (
    <LinkPress href={place.href} style={[isRail ? sheet.railLink : sheet.footLink, mark]} isHere={isHere}>
      <Icon path={place.icon} size={24} color={isHere ? palette.green : palette.inkSoft} />
      <AppText as="label" color={isHere ? palette.green : palette.inkSoft}>
        {place.word}
      </AppText>
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  whole: { flex: 1, minHeight: 0 },
  scrolls: { ...({ overflowY: 'auto' } as object) },
  wide: { flexDirection: 'row' },
  main: { flex: 1, minHeight: 0, minWidth: 0 },
  rail: { width: 84, borderRightWidth: RULE, paddingTop: 12 },
  sign: { alignItems: 'center', paddingBottom: 12 },
  railLink: { alignItems: 'center', paddingVertical: 12, gap: 2, borderLeftWidth: 4, marginBottom: 8 },
  // With very large text the five of a lead stand in two rows.
  foot: { flexDirection: 'row', flexWrap: 'wrap', borderTopWidth: RULE },
  footLink: {
    flexGrow: 1,
    flexBasis: 0,
    minWidth: 48,
    alignItems: 'center',
    paddingVertical: 6,
    gap: 2,
    borderTopWidth: 4,
  },
});
