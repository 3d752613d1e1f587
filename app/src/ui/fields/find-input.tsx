import { useState, useTransition, type ReactElement } from 'react';
import { Field, type FieldProps } from './field';

export type FindInputProps = Pick<FieldProps, 'label' | 'value' | 'onChange' | 'onEnter' | 'onFocus'>;

/** A field to look for something with, which is emptied in one press. A letter shows at once; what it finds follows, and holds up no further one. */
export function FindInput({ value, onChange, ...props }: FindInputProps): ReactElement {
  const [isFollowing, startFollowing] = useTransition();
  const [typed, setTyped] = useState(value);
  // Emptied or filled from elsewhere.
  if (!isFollowing && typed !== value) setTyped(value);
  const type = (text: string): void => {
    setTyped(text);
    startFollowing(() => onChange?.(text));
  };
  return <Field {...props} value={typed} onChange={type} isFind />;
}
