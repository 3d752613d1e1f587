import type * as yup from 'yup';
import { operations, type OperationName } from './operations';

/** The paths of what a schema takes, such as `receipt.fileId`. */
function pathsOf(described: yup.SchemaFieldDescription, path = ''): string[] {
  if (!('fields' in described)) return [path];
  return Object.entries(described.fields).flatMap(([name, field]) =>
    pathsOf(field, path === '' ? name : `${path}.${name}`),
  );
}

const all = (Object.keys(operations) as OperationName[]).map((name) => {
  const { schema, file, numbered } = operations[name];
  return { name, file, numbered, paths: pathsOf(schema.describe()) };
});

describe('what an operation need not say', () => {
  it('is said by each that takes a file: it goes to the server before', () => {
    const takers = all.filter(({ paths }) => paths.some((path) => /(?:^|\.)fileId$/.test(path)));
    expect(takers.map(({ name, file }) => [name, file])).toEqual(
      takers.map(({ name, paths }) => [name, paths.find((path) => /(?:^|\.)fileId$/.test(path))]),
    );
    // What a step asks for decides what its answer holds, so its schema goes no deeper.
    const isTaken = (file: string, paths: readonly string[]) => paths.some((path) => `${file}.`.startsWith(`${path}.`));
    expect(all.filter(({ file, paths }) => file !== null && !isTaken(file, paths))).toEqual([]);
  });

  it('is said by each that makes something with a number, and takes it from the phone', () => {
    const numbered = all.filter((each) => each.numbered !== null).map(({ name }) => name);
    expect(all.filter(({ paths }) => paths.includes('number')).map(({ name }) => name)).toEqual(numbered);
  });
});
