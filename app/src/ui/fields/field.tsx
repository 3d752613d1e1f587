import { useId, type ReactElement, type Ref } from 'react';
import { Text, View, type KeyboardTypeOptions, type TextInput as NativeInput } from 'react-native';
import { TextInput } from 'react-native-paper';
import { mdiClose } from '@mdi/js';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

export interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange?: (text: string) => void;
  /** Why what was typed cannot be taken. */
  readonly error?: string | null;
  readonly hint?: string;
  readonly lines?: number;
  readonly isSecret?: boolean;
  /** It can be read and copied only. */
  readonly isReadOnly?: boolean;
  readonly keyboard?: KeyboardTypeOptions;
  readonly autoFocus?: boolean;
  readonly onEnter?: () => void;
  /** Somebody turned to it, and is about to type. */
  readonly onFocus?: () => void;
  /** Something is looked for with it, and it is emptied in one press. */
  readonly isFind?: boolean;
  /** Another way to fill it than by typing. */
  readonly pick?: { readonly icon: string; readonly label: string; readonly onPress: () => void };
  /** By which a form takes its person to a field. */
  readonly inputRef?: Ref<NativeInput>;
  readonly autoComplete?: 'username' | 'current-password' | 'new-password' | 'off';
}

/** A field with its label, and under it either a hint or what is wrong. */
export function Field({
  label,
  value,
  onChange,
  error = null,
  hint,
  lines = 1,
  isSecret = false,
  isReadOnly = false,
  keyboard = 'default',
  autoFocus = false,
  onEnter,
  onFocus,
  isFind = false,
  autoComplete = 'off',
  pick,
  inputRef,
}: FieldProps): ReactElement {
  const palette = usePalette();
  const aboutId = useId();
  const isAbout = error !== null || hint !== undefined;
  return (
    <View>
      <TextInput
        mode="outlined"
        // Paper draws it twice; a screen reader says it once, with the field.
        label={<Text aria-hidden>{label}</Text>}
        aria-label={label}
        {...(inputRef === undefined ? {} : { ref: inputRef })}
        {...(isAbout ? { 'aria-describedby': aboutId } : {})}
        {...(error === null ? {} : { 'aria-invalid': true })}
        value={value}
        {...(onChange === undefined ? {} : { onChangeText: onChange })}
        readOnly={isReadOnly}
        error={error !== null}
        multiline={lines > 1}
        numberOfLines={lines}
        secureTextEntry={isSecret}
        keyboardType={keyboard}
        autoFocus={autoFocus}
        autoCapitalize="none"
        autoComplete={autoComplete}
        {...(isFind ? { inputMode: 'search' as const } : {})}
        right={
          isFind && value !== '' ? (
            <TextInput.Icon icon={mdiClose} aria-label="Empty it" onPress={() => onChange?.('')} />
          ) : pick === undefined ? null : (
            <TextInput.Icon icon={pick.icon} aria-label={pick.label} onPress={pick.onPress} />
          )
        }
        {...(onEnter === undefined ? {} : { onSubmitEditing: onEnter })}
        {...(onFocus === undefined ? {} : { onFocus })}
      />
      {error !== null ? (
        <AppText as="small" color={palette.faulty} id={aboutId} live>
          {error}
        </AppText>
      ) : hint === undefined ? null : (
        <AppText as="small" soft id={aboutId}>
          {hint}
        </AppText>
      )}
    </View>
  );
}
