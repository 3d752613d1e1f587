import type { ReactElement } from 'react';
import type { Control, FieldPath, FieldValues } from 'react-hook-form';
import type { FieldProps } from '../ui/fields/field';
import { FormField } from './form-field';

interface Props<Values extends FieldValues> extends Pick<FieldProps, 'label' | 'autoFocus' | 'onEnter'> {
  readonly control: Control<Values>;
  readonly name: FieldPath<Values>;
  readonly currency: string;
}

/** An amount of money: the currency stands in its name, since it is never typed. */
export function MoneyField<Values extends FieldValues>({ label, currency, ...rest }: Props<Values>): ReactElement {
  return <FormField {...rest} label={`${label}, in ${currency}`} hint="such as 12.50" keyboard="decimal-pad" />;
}
