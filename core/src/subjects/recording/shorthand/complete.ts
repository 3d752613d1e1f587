import { formatQuantity, type Thousandths } from '../../../kernel/quantity/quantity';
import type { PartId } from '../../../kernel/ids';
import { findFaults } from '../faults/find-faults';
import { fittingParts, fittingPoints, wordsOfFault, type ShorthandContext } from './meaning';
import { parseShorthand } from './parse';
import { printShorthand } from './print';
import { tokensOf } from './tokens';

/** How a line may go on. */
export interface Completion {
  /** What is added, as it is shown. */
  readonly label: string;
  /** The whole line with it. */
  readonly line: string;
}

/** A part that the job likely takes, and how much of it. */
export interface LikelyPart {
  readonly partId: PartId;
  readonly quantity: Thousandths;
}

const MOST_COMPLETIONS = 5;
/** What begins a phrase, and is offered while it is typed or where a phrase may begin. */
const beginnings = ['fault ', 'note ', 'read ', 'stopped ', 'reduced ', 'spent ', 'no parts', 'no stoppage', 'no time'];

/** How a line likely goes on, from what this job likely needs, the likeliest first. */
export function completionsOf(line: string, context: ShorthandContext, likely: readonly LikelyPart[]): Completion[] {
  const phrases = parseShorthand(line);
  const last = phrases.at(-1);
  const isOpen = last !== undefined && !/;\s*$/.test(line);
  const before = isOpen ? line.slice(0, last.from) : line;
  const found: Completion[] = [];
  const add = (label: string, instead: string): void => {
    const made = `${before}${instead}`;
    if (made.trim() !== line.trim() && found.every((each) => each.line !== made)) found.push({ label, line: made });
  };
  if (isOpen) {
    const { phrase } = last;
    if (phrase.is === 'part')
      for (const { number } of fittingParts(phrase.words, context).slice(0, MOST_COMPLETIONS))
        add(number, `${printShorthand([{ ...phrase, words: number }])} `);
    const typed = line.slice(last.from).replace(/^\S+\s*/, '');
    if (phrase.is === 'fault' || (phrase.is === 'unread' && phrase.because === 'faultMissing')) {
      const usual = findFaults(context.usualFaults, typed);
      const others = typed.trim() === '' ? [] : findFaults(context.faults, typed);
      for (const fault of [...usual, ...others].slice(0, MOST_COMPLETIONS))
        add(wordsOfFault(fault).toUpperCase(), `${printShorthand([{ is: 'fault', words: wordsOfFault(fault) }])} `);
    }
    if (phrase.is === 'unread' && phrase.because === 'valueMissing')
      for (const { name } of fittingPoints(typed, context.points).slice(0, MOST_COMPLETIONS))
        add(name, `read ${name} `);
    if (phrase.is === 'unread' && phrase.because === 'partMissing')
      for (const { number } of likelyIn(likely, context)) add(number, `${phrase.text} ${number} `);
  }
  const begun = isOpen && last.phrase.is === 'unread' && last.phrase.because === 'unknown' ? last.phrase.text : null;
  if (begun !== null || !isOpen || /\s$/.test(line)) {
    const start = begun === null ? line : before;
    const gap = start === '' || /\s$/.test(start) ? '' : ' ';
    for (const { number, quantity } of likelyIn(likely, context)) {
      const part = `${formatQuantity(quantity)}x ${number} `;
      if ((begun === null || part.startsWith(begun)) && !line.toLowerCase().includes(number.toLowerCase()))
        found.push({ label: part.trim(), line: `${start}${gap}${part}` });
    }
    for (const beginning of beginnings)
      if (begun === null ? tokensOf(line).length === 0 || /\s$/.test(line) : beginning.startsWith(begun.toLowerCase()))
        found.push({ label: beginning.trim(), line: `${start}${gap}${beginning}` });
  }
  return found.slice(0, MOST_COMPLETIONS);
}

function likelyIn(likely: readonly LikelyPart[], { parts }: ShorthandContext) {
  const wanted = new Map(likely.map((each) => [each.partId, each.quantity]));
  return parts
    .filter(({ id }) => wanted.has(id))
    .map(({ id, number }) => ({ number, quantity: wanted.get(id) ?? 1000 }))
    .slice(0, MOST_COMPLETIONS);
}
