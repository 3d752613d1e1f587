import fc from 'fast-check';
import type * as yup from 'yup';
import { surelyTakes } from '../kernel/schema/surely-takes';
import { isOperationName, operationNamed, operations } from './operations';

interface Described {
  readonly type?: string;
  readonly fields?: Readonly<Record<string, yup.Schema<unknown>>>;
  readonly innerType?: yup.Schema<unknown>;
  readonly builder?: (value: unknown) => yup.Schema<unknown>;
  readonly describe: () => { readonly oneOf: readonly unknown[] };
  readonly spec: { readonly meta?: { readonly jsonSchema?: { readonly oneOf?: () => readonly unknown[] } } };
}

/** Values of which each is right somewhere and wrong elsewhere. */
const anything: readonly unknown[] = [
  ...['', ' ', 'ann', 'Dry', 'a\u200bb', 'x'.repeat(300), 'EUR', '2026-11-23', '2026-02-30', '1:30', 'a\nb'],
  ...['2026-11-23T14:20:00+01:00', '2026-11-23T14:20:00.000Z', '2026-11-23T14:20:00', 'f'.repeat(64), 'image/jpeg'],
  ...[0, 1, 2, 3.5, -1, 90, 1_000, 1e9, 1e16, Number.NaN, Number.POSITIVE_INFINITY, true, false, null, undefined],
  ...[[], ['ann'], ['ann', 'ann'], [null], {}, { kind: 'x' }, { path: 'M0 0', name: 'Ann' }],
];

/** Values that are mostly of the form of a schema, with something wrong here and there. */
function valuesFor(schema: yup.Schema<unknown>, depth = 0): fc.Arbitrary<unknown> {
  const inside = schema as unknown as Described;
  const other = fc.constantFrom(...anything);
  if (depth > 4) return other;
  const mostly = (right: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> =>
    fc.oneof({ weight: 12, arbitrary: right }, { weight: 1, arbitrary: other });
  switch (inside.type) {
    case 'lazy': {
      const shapes = inside.builder?.({}) as unknown as Described | undefined;
      const all = (shapes?.spec.meta?.jsonSchema?.oneOf?.() ?? []).filter(
        (each): each is yup.Schema<unknown> => (each as Described).type === 'object',
      );
      return all.length === 0 ? other : mostly(fc.oneof(...all.map((each) => valuesFor(each, depth + 1))));
    }
    case 'object': {
      const fields = Object.entries(inside.fields ?? {}).map(([name, field]) => [name, valuesFor(field, depth + 1)]);
      const right = fc.record(Object.fromEntries(fields) as Record<string, fc.Arbitrary<unknown>>);
      const withMore = right.map((value) => ({ ...value, more: 1 }));
      return fc.oneof({ weight: 20, arbitrary: mostly(right) }, { weight: 1, arbitrary: withMore });
    }
    case 'array':
      return mostly(
        inside.innerType === undefined
          ? fc.constant([])
          : fc.array(valuesFor(inside.innerType, depth + 1), { maxLength: 3 }),
      );
    default: {
      const words = inside.describe().oneOf.filter((each) => each !== null);
      const right =
        words.length > 0 ? words : anything.filter((each) => inside.type === 'mixed' || typeof each === inside.type);
      return mostly(fc.constantFrom(...(right.length === 0 ? anything : right)));
    }
  }
}

describe('what is taken without asking Yup', () => {
  it.each(Object.keys(operations).filter(isOperationName))('of %s is what Yup takes, and nothing else', (name) => {
    const { schema } = operationNamed(name);
    fc.assert(
      fc.property(valuesFor(schema), (value) => {
        const before = structuredClone(value);
        expect(surelyTakes(schema, value)).toBe(schema.isValidSync(value));
        expect(value).toEqual(before);
      }),
      { numRuns: 80 },
    );
  });
});
