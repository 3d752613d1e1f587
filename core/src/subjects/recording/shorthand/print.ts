import { formatQuantity } from '../../../kernel/quantity/quantity';
import { typedDuration } from '../../../kernel/time/duration';
import { parseShorthand } from './parse';
import type { Phrase } from './phrase';
import { beginsPhrase, numberOf, tokensOf } from './tokens';

/** A line of shorthand that says these phrases: reading it gives them again. */
export function printShorthand(phrases: readonly Phrase[]): string {
  return phrases.map(printPhrase).join('; ');
}

/** The line with another phrase in the place of one; with none in its place, that one is left out. */
export function withPhrase(line: string, index: number, instead: Phrase | null): string {
  const phrases = parseShorthand(line).map(({ phrase }) => phrase);
  return printShorthand(phrases.flatMap((phrase, at) => (at === index ? (instead ?? []) : phrase)));
}

function printPhrase(phrase: Phrase): string {
  switch (phrase.is) {
    case 'time':
      return `${typedDuration(phrase.minutes)}${phrase.timeType === 'regular' ? '' : ` ${phrase.timeType}`}`;
    case 'part':
      return `${formatQuantity(phrase.quantity)}x ${plainWords(phrase.words)}`;
    case 'fault':
      return `fault ${plainWords(phrase.words)}`;
    case 'reading':
      return `read ${plainWords(phrase.words, true)} ${phrase.value}${phrase.unit === null ? '' : ` ${phrase.unit}`}`;
    case 'stoppage':
      return `${phrase.extent === 'full' ? 'stopped' : 'reduced'} ${typedDuration(phrase.minutes)}`;
    case 'note':
      return `note ${phrase.text.replaceAll(';', ';;')}`;
    case 'spent':
      return `spent ${phrase.amount} ${phrase.words.replaceAll(';', ';;')}`;
    case 'none':
      return { part: 'no parts', stoppage: 'no stoppage', time: 'no time' }[phrase.of];
    case 'unread':
      return phrase.text;
  }
}

/** In quotation marks where a word would begin something else, or be taken for a value. */
function plainWords(words: string, areBeforeValue = false): string {
  const tokens = tokensOf(words);
  const isPlain = tokens.every(
    (token, at) =>
      !token.isQuoted &&
      token.text !== ';;' &&
      !beginsPhrase(tokens, at) &&
      !['x', 'times', 'overtime', 'travel'].includes(token.text.toLowerCase()) &&
      !(areBeforeValue && (numberOf(token) !== null || /^-?\d/.test(token.text))),
  );
  return isPlain && tokens.length > 0 ? words : `"${words.replaceAll('"', '')}"`;
}
