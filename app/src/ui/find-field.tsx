import type { ReactElement } from 'react';
import { Field, type FieldProps } from './field';

/** A field to look for something with, which is emptied in one press. */
export function FindField(props: Pick<FieldProps, 'label' | 'value' | 'onChange' | 'onEnter'>): ReactElement {
  return <Field {...props} isFind />;
}
