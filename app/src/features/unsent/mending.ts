import { formatQuantity, parseDuration, parseQuantity, typedDuration } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import { readNumber } from '../../words/read-number';

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

const words = (label: string, lines = 1) => ({
  label,
  lines,
  hint: '',
  show: (value: unknown) => (typeof value === 'string' ? value : ''),
  read: (text: string): unknown => text,
});

const duration = {
  label: 'How long',
  lines: 1,
  hint: 'Write it as 1:30, 1.5, 90m or 1h30.',
  show: (value: unknown) => (typeof value === 'number' ? typedDuration(value) : ''),
  read: (text: string): unknown => parseDuration(text),
};

const amount = {
  label: 'Amount',
  lines: 1,
  hint: 'Write an amount, such as 2 or 0.5.',
  show: (value: unknown) => (typeof value === 'number' ? formatQuantity(value) : ''),
  read: (text: string): unknown => parseQuantity(text),
};

const value = {
  label: 'Value',
  lines: 1,
  hint: 'Write a number, such as 61.5.',
  show: (given: unknown) => (typeof given === 'number' ? String(given) : ''),
  read: (text: string): unknown => readNumber(text.trim()) ?? undefined,
};

/** What can be put right, by the name of the operation and the path of its argument. */
const mendable: Readonly<Record<string, Readonly<Record<string, typeof duration>>>> = {
  'note.add': { text: words('Note', 4) },
  'note.amend': { text: words('Note', 4) },
  'photo.add': { caption: words('Words with the photo') },
  'labor.add': { minutes: duration },
  'labor.amend': { minutes: duration },
  'part.use': { quantity: amount },
  'part.amend': { quantity: amount },
  'reading.add': { value },
  'entry.withdraw': { reason: words('Why it should not be there') },
  'clock.stop-for': { reason: words('Why you stop it') },
  'work.hold': { note: words('Note') },
  'work.hand-back': { reason: words('What is missing') },
  'work.drop': { reason: words('Why it will not be done') },
  'work.add-hazard': { hazard: words('Hazard'), control: words('Control') },
};

/** The values of a refused operation that can be put right; none when it can only be sent again as it is. */
export function mendFieldsOf({ name, args }: Pick<Operation, 'name' | 'args'>): MendField[] {
  if (typeof args !== 'object' || args === null) return [];
  if (name === 'step.answer') return stepFields(args as Args);
  return Object.entries(mendable[name] ?? {}).map(([path, { show, ...rest }]) => ({
    ...rest,
    path,
    text: show((args as Args)[path]),
  }));
}

function stepFields({ answer }: Args): MendField[] {
  const given = answer as { type?: string; value?: unknown } | null | undefined;
  if (given?.type !== 'number') return [];
  const { show, read, ...rest } = value;
  const asAnswer = (text: string): unknown => {
    const number = read(text);
    return number === undefined ? undefined : { type: 'number', value: number };
  };
  return [{ ...rest, read: asAnswer, path: 'answer', text: show(given.value) }];
}

/** The arguments with what was typed in place; the path of the first that cannot be read otherwise. */
export function mendedArgs(
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
