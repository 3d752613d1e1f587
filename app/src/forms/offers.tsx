import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from '../ui/press/press';
import { GAP } from '../ui/theme/theme';
import { AppText } from '../ui/theme/app-text';

export interface Offer {
  readonly word: string;
  readonly onPress: () => void;
}

interface Props {
  readonly question: string;
  readonly offers: readonly Offer[];
}

/** What a field asks back where what was typed can mean several things: one press says which. */
export function Offers({ question, offers }: Props): ReactElement {
  return (
    <View role="group" aria-label={question} style={sheet.line}>
      <AppText as="label" live>
        {question}
      </AppText>
      {offers.map(({ word, onPress }) => (
        <Button key={word} word={word} onPress={onPress} />
      ))}
    </View>
  );
}

const sheet = StyleSheet.create({
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: GAP, paddingTop: 4 },
});
