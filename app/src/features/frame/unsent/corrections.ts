import { formatQuantity, parseDuration, parseQuantity, typedDuration } from '@oilcan/core/kernel';
import type { MendKind, Operation } from '@oilcan/core/operations';
import { isOperationName, operationNamed } from '@oilcan/core/registry/operations';
import { readNumber } from '../../../words/read-number';
import { operationViews } from '../registry/views';
import { AMOUNT_HINT } from '../../../forms/typed-words';

/** One value of a refused operation that its person can put right. */
export interface MendField {
  /** The argument it stands for, as a refusal names it. */
  readonly path: string;
  readonly label: string;
  readonly text: string;
  readonly lines: number;
  /** What was typed as the argument; undefined when it cannot be read. */
  readonly read: (text: string) => unknown;
  /** How to write it. */
  readonly hint: string;
}

type Args = Readonly<Record<string, unknown>>;

interface Way {
  readonly lines: number;
  readonly hint: string;
  /** The value as text; null where there is none that can be typed. */
  readonly show: (value: unknown) => string | null;
  readonly read: (text: string) => unknown;
}

const words = (lines: number): Way => ({
  lines,
  hint: '',
  show: (value) => (typeof value === 'string' ? value : ''),
  read: (text) => text,
});

const number: Way = {
  lines: 1,
  hint: 'Write a number, such as 61.5.',
  show: (given) => (typeof given === 'number' ? String(given) : ''),
  read: (text) => readNumber(text.trim()) ?? undefined,
};

/** How a value of each kind is shown and typed again. */
const ways: Readonly<Record<MendKind, Way>> = {
  line: words(1),
  text: words(4),
  number,
  duration: {
    lines: 1,
    hint: 'Write it as 1:30, 1.5, 90m or 1h30.',
    show: (value) => (typeof value === 'number' ? typedDuration(value) : ''),
    read: parseDuration,
  },
  quantity: {
    lines: 1,
    hint: AMOUNT_HINT,
    show: (value) => (typeof value === 'number' ? formatQuantity(value) : ''),
    read: parseQuantity,
  },
  // Only a number is typed again; other answers are given on the sheet.
  numberAnswer: {
    ...number,
    show: (value) => {
      const answer = value as { readonly type?: string; readonly value?: unknown } | null | undefined;
      return answer?.type === 'number' ? number.show(answer.value) : null;
    },
    read: (text) => {
      const value = number.read(text);
      return value === undefined ? undefined : { type: 'number', value };
    },
  },
};

/** The values of a refused operation that can be put right; none when it can only be sent again as it is. */
export function correctableFieldsOf({ name, args }: Pick<Operation, 'name' | 'args'>): MendField[] {
  if (typeof args !== 'object' || args === null || !isOperationName(name)) return [];
  const labels: Readonly<Record<string, string>> = operationViews[name].fields;
  return Object.entries(operationNamed(name).correct.fields).flatMap(([path, kind]): MendField[] => {
    const { show, ...way } = ways[kind];
    const text = show((args as Args)[path]);
    return text === null ? [] : [{ ...way, path, text, label: labels[path] ?? path }];
  });
}

/** The arguments with what was typed in place; the path of the first that cannot be read otherwise. */
export function correctedArgs(
  args: unknown,
  fields: readonly MendField[],
  typed: Readonly<Record<string, string>>,
): { readonly ok: true; readonly args: Args } | { readonly ok: false; readonly path: string } {
  const mended: Record<string, unknown> = { ...(args as Args) };
  for (const { path, text, read } of fields) {
    const given = read(typed[path] ?? text);
    if (given === undefined) return { ok: false, path };
    mended[path] = given;
  }
  return { ok: true, args: mended };
}
