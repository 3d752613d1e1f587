import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { LinkPress } from '../../../ui/press/link-press';
import { Icon } from '../../../ui/theme/icon';

import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { openedAddress } from './past-address';
import type { Said, SaidFigure } from './said';
import { mdiChevronRight } from '@mdi/js';
import { List } from '../../../ui/layout/list';

interface Whose {
  /** Where all of this past is looked at. */
  readonly address: `/plant/past/${string}`;
}

/** What the past says: each sentence opens the rows that it was made from. */
export function SaidList({ said, ...whose }: Whose & { readonly said: readonly Said[] }): ReactElement {
  return (
    <List label="What the past says">
      {said.map((each) => (
        <Line key={each.key} said={each} {...whose}>
          <AppText style={sheet.text}>{each.text}</AppText>
        </Line>
      ))}
    </List>
  );
}

/** The figures beside the sentences; each opens its rows too. */
export function FigureList({ figures, ...whose }: Whose & { readonly figures: readonly SaidFigure[] }): ReactElement {
  return (
    <List label="Figures">
      {figures.map((each) => (
        <Line key={each.key} said={each} {...whose}>
          <View style={sheet.figure}>
            <AppText soft style={sheet.name}>
              {each.name}
            </AppText>
            <AppText style={sheet.value}>{each.text}</AppText>
          </View>
        </Line>
      ))}
    </List>
  );
}

function Line({
  said: { key, jobs },
  address,
  children,
}: Whose & { readonly said: Said; readonly children: ReactElement }): ReactElement {
  const palette = usePalette();
  if (jobs.length === 0) return <View style={[sheet.plain, { borderColor: palette.line }]}>{children}</View>;
  return (
    <LinkPress href={openedAddress(address, key)} style={[sheet.said, { borderColor: palette.line }]}>
      {children}
      <Icon path={mdiChevronRight} color={palette.inkSoft} />
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  plain: { paddingVertical: 10, borderBottomWidth: 1 },
  said: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    justifyContent: 'space-between',
    paddingVertical: 10,
    borderBottomWidth: 1,
  },
  text: { flexShrink: 1, minWidth: 0, maxWidth: 560 },
  // With very large text the figure goes under its name.
  figure: {
    flexGrow: 1,
    flexShrink: 1,
    minWidth: 0,
    flexDirection: 'row',
    flexWrap: 'wrap',
    columnGap: 12,
    maxWidth: 560,
  },
  name: { flexBasis: 110 },
  value: { flexBasis: 190, flexGrow: 1, flexShrink: 1, minWidth: 0 },
});
