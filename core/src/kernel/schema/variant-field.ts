import * as yup from 'yup';
import { argsSchema, choiceField } from './fields';

/**
 * An object that may have one of several shapes, told apart by the value of one of its fields.
 *
 * @param by the field that tells them apart
 * @param shapes the other fields of each shape, by that value
 */
export function variantField<T>(by: string, shapes: Readonly<Record<string, yup.ObjectShape>>): yup.Schema<T> {
  return variants<T>(by, shapes, false);
}

/** As `variantField`, or null for none. */
export function optionalVariantField<T>(
  by: string,
  shapes: Readonly<Record<string, yup.ObjectShape>>,
): yup.Schema<T | null> {
  return variants<T | null>(by, shapes, true);
}

const nothing = yup.mixed().nullable().defined();

function variants<T>(
  by: string,
  shapes: Readonly<Record<string, yup.ObjectShape>>,
  isOptional: boolean,
): yup.Schema<T> {
  const names = Object.keys(shapes);
  const schemas = new Map(names.map((name) => [name, argsSchema({ [by]: choiceField([name]), ...shapes[name] })]));
  // What something is held against that has none of the shapes. The description of the API is made of all of them.
  const anyOfThem = argsSchema({ [by]: choiceField(names) }).meta({
    jsonSchema: { oneOf: () => [...(isOptional ? [{ type: 'null' }] : []), ...schemas.values()] },
  });
  return yup.lazy((given: unknown) => {
    if (isOptional && given === null) return nothing;
    const name = typeof given === 'object' && given !== null ? (given as Record<string, unknown>)[by] : undefined;
    return (typeof name === 'string' ? schemas.get(name) : undefined) ?? anyOfThem;
  }) as unknown as yup.Schema<T>;
}
