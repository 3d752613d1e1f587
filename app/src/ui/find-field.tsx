import type { ReactElement } from 'react';
import { TextInput } from 'react-native-paper';
import { mdiClose } from '@mdi/js';

interface Props {
  /** What is looked for, and among what. */
  readonly label: string;
  readonly value: string;
  readonly onChange: (words: string) => void;
  readonly onEnter?: () => void;
}

/** A field to look for something with, which is emptied in one press. */
export function FindField({ label, value, onChange, onEnter }: Props): ReactElement {
  return (
    <TextInput
      mode="outlined"
      label={label}
      aria-label={label}
      value={value}
      onChangeText={onChange}
      inputMode="search"
      autoCapitalize="none"
      autoComplete="off"
      right={
        value === '' ? null : <TextInput.Icon icon={mdiClose} aria-label="Empty it" onPress={() => onChange('')} />
      }
      {...(onEnter === undefined ? {} : { onSubmitEditing: onEnter })}
    />
  );
}
