import { useState, type ReactElement } from 'react';
import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { View } from 'react-native';
import { mdiClockOutline } from '@mdi/js';
import { readMoment, type Instant, type ReadMoment, type Zone } from '@oilcan/core/kernel';
import { Field, type FieldProps } from '../ui/fields/field';
import { lazyComponent } from '../ui/loading/lazy-component';
import { AppText } from '../ui/theme/app-text';
import { sayMoment } from '../words/dates';
import { Offers } from './offers';
import { notYetQuestion } from './typed-words';

const WhenPicker = lazyComponent(() => import('./when-picker').then((module) => module.WhenPicker));

interface InputProps extends Pick<FieldProps, 'label' | 'hint' | 'autoFocus' | 'onEnter' | 'error' | 'inputRef'> {
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly present: Instant;
  readonly zone: Zone;
  readonly language: string;
  /** How it is read, where it means something else than the last such time. */
  readonly readAs?: (typed: string) => Instant | null;
}

/**
 * A moment that has been, by the clock: typed in any form or chosen. One that is not today says its day, and one that has not come yet is
 * asked about.
 */
export function MomentInput({
  value,
  onChange,
  present,
  zone,
  language,
  readAs,
  label,
  hint = 'such as 14:20, or yesterday 14:20',
  ...rest
}: InputProps): ReactElement {
  const [isPicking, setIsPicking] = useState(false);
  const read = readAs === undefined ? readMoment(value, present, zone) : readBy(readAs, value);
  const said = read.is === 'at' ? sayMoment(read.at, present, zone, language) : '';
  return (
    <View>
      <Field
        {...rest}
        label={label}
        value={value}
        onChange={onChange}
        hint={hint}
        pick={{ icon: mdiClockOutline, label: 'Choose on a clock', onPress: () => setIsPicking(true) }}
      />
      {said.includes(' ') ? (
        <AppText as="label" live>
          {said}
        </AppText>
      ) : null}
      {read.is === 'notYet' ? (
        <Offers
          question={notYetQuestion(read.clock)}
          offers={[{ word: `Yesterday, ${read.clock}`, onPress: () => onChange(`yesterday ${read.clock}`) }]}
        />
      ) : null}
      {isPicking ? (
        <WhenPicker
          what="time"
          label={label}
          at={read.is === 'at' ? read.at : present}
          notAfter={present}
          zone={zone}
          onPicked={(text) => {
            onChange(text);
            setIsPicking(false);
          }}
          onClose={() => setIsPicking(false)}
        />
      ) : null}
    </View>
  );
}

function readBy(readAs: (typed: string) => Instant | null, typed: string): ReadMoment {
  const at = readAs(typed);
  return at === null ? { is: 'unreadable' } : { is: 'at', at };
}

interface Props<Values extends FieldValues> extends Omit<InputProps, 'value' | 'onChange' | 'error' | 'inputRef'> {
  readonly control: Control<Values>;
  readonly name: FieldPath<Values>;
}

/** The same in a form. */
export function MomentField<Values extends FieldValues>({ control, name, ...rest }: Props<Values>): ReactElement {
  const { field, fieldState } = useController({ control, name });
  return (
    <MomentInput
      {...rest}
      value={String(field.value ?? '')}
      onChange={field.onChange}
      inputRef={field.ref}
      error={fieldState.error?.message ?? null}
    />
  );
}
