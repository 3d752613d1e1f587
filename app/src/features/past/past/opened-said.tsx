import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import type { Said, SaidFigure } from './said';

/** In the place of all that a past says the sentence or figure that was opened, so that its rows come next. */
export function OpenedSaid({ said }: { readonly said: Said | SaidFigure }): ReactElement {
  const palette = usePalette();
  return (
    <>
      <View style={[sheet.said, { borderColor: palette.green }]}>
        <AppText style={sheet.text}>{'name' in said ? `${said.name}: ${said.text}.` : said.text}</AppText>
      </View>
      <AppText as="heading" level={3}>
        The rows: {said.brief}
      </AppText>
    </>
  );
}

const sheet = StyleSheet.create({
  said: { borderLeftWidth: 4, paddingLeft: 12 },
  text: { maxWidth: 560 },
});
