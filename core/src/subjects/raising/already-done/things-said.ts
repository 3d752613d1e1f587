import { parseQuantity } from '../../../kernel/quantity/quantity';
import type { Phrase } from '../../recording/shorthand/phrase';

/** “pressure is 39.9 bar”: a point in words, a value, and its unit, without which it may be anything. */
const READING =
  /^(?:the\s+)?([\p{L}][\p{L}\d\s/-]{1,60}?)\s+(?:is|was|reads|shows|showed|now|at|is now|is at|was at|=)\s+(-?\d{1,9}(?:[.,]\d{1,6})?)\s?([°%Ω\p{L}][^\s\d,;]*(?:\/[^\s,;]+)?)$/u;
/** Behind these a figure with a unit says how long something took, or how worn it is. */
const NO_POINT = /\b(?:downtime|standstill|stoppage|work|job|it|wear|hose|belt|gap|crack|shaft)\b/i;

/** The reading that plain words say; null for none. */
export function readingSaid(text: string): Phrase | null {
  const [, words = '', value = '', unit = ''] = READING.exec(text.trim()) ?? [];
  if (words === '' || NO_POINT.test(words) || /^(?:min|minutes?|o['’]clock|[ap]m)$/i.test(unit)) return null;
  return { is: 'reading', words: words.trim(), value: Number(value.replace(',', '.')), unit };
}

const counts = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];
const PART = new RegExp(
  String.raw`^(?:used\s+|took\s+|with\s+|fitted\s+)?(?:(${counts.join('|')})|(\d{1,4}))\s+((?:(?:new|spare)\s+)?[\p{L}][\p{L}\d./-]*(?:\s+[\p{L}\d./-]+){0,4}?)(?:\s+(?:used|taken|fitted|from stock))?$`,
  'iu',
);
/** What words of a part do not have: a verb, people, a time, a length. */
const NO_PART =
  /\b\p{L}{2,}(?:ed|ing)\b|\b(?:was|were|is|are|of us|people|men|persons|hours?|h|min|minutes?|m|mm|cm|bar|°C|found|broken|worn|more|other|left|leaks?|cracks?|times|days?|weeks?|pm|am)\b/iu;

/** The part that plain words say to have been taken: “one seal kit”; null for none. */
export function partSaid(text: string): Phrase | null {
  const [, word, figure, said = ''] = PART.exec(text.trim()) ?? [];
  const words = said.replace(/^(?:new|spare)\s+/i, '');
  if (words === '' || NO_PART.test(words)) return null;
  const count = word === undefined ? Number(figure) : counts.indexOf(word.toLowerCase()) + 1;
  const quantity = parseQuantity(`${count}`);
  if (quantity === undefined || count === 0) return null;
  return { is: 'part', quantity, words: count === 1 ? words : words.replace(/(?<=\p{L}{3}[^s])s$/iu, '') };
}
