import type { ReactElement } from 'react';
import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { View } from 'react-native';
import { eitherDuration, formatDuration, typedDuration } from '@oilcan/core/kernel';
import type { FieldProps } from '../ui/fields/field';
import { FormField } from './form-field';
import { Offers } from './offers';
import { durationQuestion } from './typed-words';

interface Props<Values extends FieldValues> extends Pick<FieldProps, 'label' | 'hint' | 'autoFocus' | 'onEnter'> {
  readonly control: Control<Values>;
  readonly name: FieldPath<Values>;
}

/** How long something took or takes: every form types it so, and is asked the same of a bare number. */
export function DurationField<Values extends FieldValues>(props: Props<Values>): ReactElement {
  const { control, name } = props;
  const { field } = useController({ control, name });
  const typed = String(field.value ?? '');
  const either = eitherDuration(typed);
  const mean = (minutes: number) => ({
    word: formatDuration(minutes),
    onPress: () => field.onChange(typedDuration(minutes)),
  });
  return (
    <View>
      <FormField {...props} />
      {either === null ? null : (
        <Offers question={durationQuestion(typed)} offers={[mean(either.asMinutes), mean(either.asHours)]} />
      )}
    </View>
  );
}
