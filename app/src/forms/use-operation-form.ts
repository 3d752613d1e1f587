import { useEffect, useRef } from 'react';
import {
  useForm,
  type DefaultValues,
  type FieldErrors,
  type FieldValues,
  type Path,
  type UseFormReturn,
} from 'react-hook-form';
import type { OperationId } from '@oilcan/core/kernel';
import type { Refusal } from '@oilcan/core/operations';
import { readArgs } from '@oilcan/core/operations/read-args';
import { sentenceFor } from '@oilcan/core/registry';
import { operationNamed, type ArgsOf, type OperationName } from '@oilcan/core/registry/operations';
import { performMaking } from '../data/store/store';
import { useFormDraft } from './form-draft';
import { useNotice } from '../ui/state/use-notice';
import { useOnce } from '../ui/state/use-once';

interface Options<N extends OperationName, Values extends FieldValues> {
  readonly operation: N;
  readonly defaultValues: Values;
  /** What it is about, such as the id of a job: what was typed of one is not found with another. */
  readonly about: string;
  /** What is not found again in a form that was closed half-typed, such as a signature. */
  readonly neverKept?: readonly Path<Values>[];
  /** What is typed as the operation's arguments, or which field cannot be read and how it is written. */
  readonly read: (values: Values) => { readonly args: ArgsOf<N> } | Unreadable<Values>;
  /** The field in which an argument is typed, where its name is another. */
  readonly fieldOf?: (argument: string) => Path<Values>;
  /** What is said when it was taken. */
  readonly said: string | ((args: ArgsOf<N>, typed: Values, made: OperationId) => string);
  /** Opens what was made, from the notice that tells of it; undefined for what cannot be opened. */
  readonly opens?: (made: OperationId) => () => void;
  /** `made` is the id of the operation, and so of what it makes. */
  readonly onDone: (made: OperationId) => void;
}

interface Unreadable<Values extends FieldValues> {
  readonly unreadable: Path<Values>;
  readonly hint: string;
}

export interface OperationForm<Values extends FieldValues> {
  readonly form: UseFormReturn<Values>;
  /** Does the operation with what is typed. */
  readonly submit: () => void;
  /** Why it was refused, where that is about no field. */
  readonly refusal: string | null;
}

const nothing: readonly never[] = [];

/**
 * A form that does one operation. What was typed and not kept is found again when it is opened again, for a day. What is typed goes through the operation's own schema, so that what a field says is wrong is
 * what the server would say, in the same words.
 */
export function useOperationForm<N extends OperationName, Values extends FieldValues>({
  operation,
  defaultValues,
  about,
  neverKept = nothing,
  read,
  fieldOf = (argument) => argument as Path<Values>,
  said,
  opens,
  onDone,
}: Options<N, Values>): OperationForm<Values> {
  const say = useNotice((state) => state.say);
  const once = useOnce();
  const nameOf = ({ field }: Refusal): Path<Values> | null => {
    if (field === null) return null;
    const name = fieldOf(field.split('.')[0] ?? field);
    return name in (defaultValues as object) ? name : null;
  };
  const draft = useFormDraft(`form ${operation} ${about}`, defaultValues, neverKept);
  const form = useForm<Values>({
    defaultValues: draft.first as DefaultValues<Values>,
    resolver: (values) => {
      const typed = read(values);
      if ('unreadable' in typed) return invalid(typed.unreadable, typed.hint);
      const checked = readArgs(operationNamed(operation).schema, typed.args);
      if (checked.ok) return { values, errors: {} };
      return invalid(nameOf(checked) ?? 'root', sentenceFor(checked.code, checked.values));
    },
  });
  const keepTyped = useRef(draft.keep);
  useEffect(() => {
    keepTyped.current = draft.keep;
  });
  useEffect(() => {
    const { unsubscribe } = form.watch(() => keepTyped.current(form.getValues()));
    return unsubscribe;
  }, [form]);
  const submit = form.handleSubmit(async (values) => {
    const typed = read(values);
    if ('unreadable' in typed) return;
    const made = await performMaking(operation, typed.args);
    if (!made.ok) {
      const wrong = { message: sentenceFor(made.code, made.values) };
      form.setError(nameOf(made) ?? 'root', wrong, { shouldFocus: true });
      return;
    }
    draft.forget();
    say(typeof said === 'string' ? said : said(typed.args, values, made.value), opens?.(made.value));
    onDone(made.value);
  });
  return {
    form,
    submit: () => once(() => submit().then(() => false)),
    refusal: form.formState.errors.root?.message ?? null,
  };
}

function invalid<Values extends FieldValues>(
  field: string,
  message: string,
): { values: Record<string, never>; errors: FieldErrors<Values> } {
  return { values: {}, errors: { [field]: { type: 'invalid', message } } as FieldErrors<Values> };
}
