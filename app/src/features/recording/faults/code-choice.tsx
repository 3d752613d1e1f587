import { useState, type ReactElement } from 'react';
import { View } from 'react-native';
import { Choice, Choices } from '../../../ui/fields/choice';
import { AppText } from '../../../ui/theme/app-text';

interface Props {
  readonly label: string;
  /** The codes with their names. */
  readonly names: Readonly<Record<string, string>>;
  /** Those that are shown at once. */
  readonly usual: readonly string[];
  /** Null where nobody said. */
  /** Leads to all of them: “Other causes”. */
  readonly more: string;
  readonly value: string | null;
  readonly onChange: (value: string | null) => void;
}

/** One of a list of codes, the usual ones first; a second press takes it back. */
export function CodeChoice({ label, names, usual, more, value, onChange }: Props): ReactElement {
  const [isWhole, setIsWhole] = useState(false);
  const first = value === null || usual.includes(value) ? usual : [value, ...usual];
  const shown = isWhole ? Object.keys(names) : first;
  return (
    <View style={{ gap: 8 }}>
      <AppText as="label">{label}</AppText>
      <Choices label={label}>
        {shown.map((code) => (
          <Choice
            key={code}
            word={sentence(names[code] ?? code)}
            isChosen={code === value}
            onPress={() => onChange(code === value ? null : code)}
          />
        ))}
        {isWhole ? null : <Choice word={more} isChosen={false} onPress={() => setIsWhole(true)} />}
      </Choices>
    </View>
  );
}

const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
