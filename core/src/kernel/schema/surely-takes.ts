import type * as yup from 'yup';

/** Whether a value is certainly one that a schema takes as it is. */
type Accepts = (value: unknown) => boolean;

interface Test {
  readonly OPTIONS?: {
    readonly test?: (this: object, value: unknown, context: object) => unknown;
    readonly skipAbsent?: boolean;
  };
}

/** What Yup keeps inside a schema; each part is looked for before it is relied upon. */
interface Inside {
  readonly type?: string;
  readonly spec?: { readonly strict?: boolean; readonly nullable?: boolean; readonly optional?: boolean };
  readonly tests?: readonly Test[];
  readonly conditions?: readonly unknown[];
  readonly _typeCheck?: (value: unknown) => boolean;
  readonly _whitelist?: unknown;
  readonly _blacklist?: unknown;
  readonly fields?: Readonly<Record<string, Inside>>;
  readonly innerType?: Inside;
  readonly builder?: (value: unknown, options: object) => Inside;
}

const never: Accepts = () => false;
const compiled = new WeakMap<object, Accepts>();

/**
 * Whether a strict schema certainly takes a value, in a small part of the time that Yup needs to say so. False says nothing: then Yup has
 * to look, and says what is wrong. What is not understood of a schema (conditions, references, tests that look at what stands around the
 * value) is left to Yup. A property over the arguments of all operations holds that nothing is taken here that Yup refuses.
 */
export function surelyTakes(schema: yup.Schema<unknown>, value: unknown): boolean {
  const inside = schema as unknown as Inside;
  if (inside.spec?.strict !== true) return false;
  try {
    return acceptsOf(inside)(value);
  } catch {
    return false;
  }
}

function acceptsOf(schema: Inside): Accepts {
  const known = compiled.get(schema);
  if (known !== undefined) return known;
  const accepts = compile(schema);
  compiled.set(schema, accepts);
  return accepts;
}

function compile(schema: Inside): Accepts {
  if (schema.type === 'lazy') return compileLazy(schema);
  const { spec, tests, conditions, _typeCheck: isOfType } = schema;
  const { _whitelist: among, _blacklist: but } = schema;
  if (spec === undefined || tests === undefined || isOfType === undefined) return never;
  if (!(among instanceof Set) || !(but instanceof Set)) return never;
  if (
    (conditions?.length ?? 0) > 0 ||
    but.size > 0 ||
    [...among].some((each) => typeof each === 'object' && each !== null)
  )
    return never;
  const passes = tests.map((test) => compileTest(schema, test));
  const within = compileWithin(schema);
  const { nullable: isNullable = false, optional: isOptional = false } = spec;
  return (value) => {
    if (value === undefined ? !isOptional : value === null ? !isNullable : !isOfType.call(schema, value)) return false;
    if (value != null && among.size > 0 && !among.has(value)) return false;
    for (const isPassed of passes) if (!isPassed(value)) return false;
    return value == null || within(value);
  };
}

/** What it is depends on the value. */
function compileLazy({ builder, spec }: Inside): Accepts {
  if (builder === undefined || spec?.optional === true) return never;
  return (value) => acceptsOf(builder(value, {}))(value);
}

function compileTest(schema: Inside, { OPTIONS: options }: Test): Accepts {
  const test = options?.test;
  if (test === undefined) return never;
  const context = {
    schema,
    path: '',
    resolve: (limit: unknown): unknown => {
      if (typeof limit === 'object' && limit !== null)
        throw new Error('A limit that stands elsewhere is not looked up here.');
      return limit;
    },
    createError: (): boolean => false,
    get parent(): never {
      throw new Error('What stands around a value is not looked at here.');
    },
    get options(): never {
      throw new Error('What is asked for beside a value is not looked at here.');
    },
  };
  return (value) => (options?.skipAbsent === true && value == null) || test.call(context, value, context) === true;
}

/** The fields of an object, the items of a list. */
function compileWithin({ type, fields, innerType }: Inside): Accepts {
  if (type === 'object') {
    if (fields === undefined) return never;
    const all = Object.entries(fields).map(([name, field]) => [name, acceptsOf(field)] as const);
    return (value) => {
      const given = value as Readonly<Record<string, unknown>>;
      for (const [name, accepts] of all) if (!accepts(given[name])) return false;
      return true;
    };
  }
  if (type === 'array') {
    if (innerType === undefined) return never;
    const accepts = acceptsOf(innerType);
    return (value) => {
      for (const item of value as readonly unknown[]) if (!accepts(item)) return false;
      return true;
    };
  }
  return type === 'tuple' ? never : () => true;
}
