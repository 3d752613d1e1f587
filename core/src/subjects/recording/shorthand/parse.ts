import { parseQuantity } from '../../../kernel/quantity/quantity';
import { LONGEST_SHORTHAND, type Phrase, type PlacedPhrase, type Unread } from './phrase';
import {
  amountAt,
  beginsPhrase,
  END,
  keywordAt,
  noneNamed,
  numberOf,
  timeAt,
  tokensOf,
  type Keyword,
  type Token,
} from './tokens';

/** A phrase, and the token after its last. */
interface Read {
  readonly phrase: Phrase;
  readonly next: number;
}

/**
 * Reads a line of shorthand: `1.5h 2x seal-70 fault leak note grease was black`. What cannot be read is a phrase of its own, and what
 * stands around it is read all the same.
 */
export function parseShorthand(line: string): PlacedPhrase[] {
  if (line.length > LONGEST_SHORTHAND)
    return [{ phrase: { is: 'unread', text: line, because: 'tooLong' }, from: 0, to: line.length }];
  const tokens = tokensOf(line);
  const phrases: PlacedPhrase[] = [];
  let at = 0;
  while (at < tokens.length) {
    const first = tokens[at];
    if (first === undefined) break;
    if (!first.isQuoted && first.text === END) {
      at += 1;
      continue;
    }
    const { phrase, next } = readPhrase(line, tokens, at);
    phrases.push({ phrase, from: first.from, to: tokens[next - 1]?.to ?? first.to });
    at = next;
  }
  return phrases;
}

function readPhrase(line: string, tokens: readonly Token[], at: number): Read {
  const keyword = keywordAt(tokens, at);
  if (keyword !== null) return readers[keyword](line, tokens, at);
  const amount = amountAt(tokens, at);
  if (amount !== null) return readPart(tokens, at, amount.amount, at + amount.length);
  const time = timeAt(tokens, at);
  if (time !== null) return readTime(tokens, time.minutes, at + time.length);
  // A number is begun and not ended yet: `2` of `2x`.
  const next = endOfWords(tokens, at + 1);
  return unread(tokens, at, next, 'unknown');
}

const readers: Readonly<Record<Keyword, (line: string, tokens: readonly Token[], at: number) => Read>> = {
  note: (line, tokens, at) => {
    const end = endOfText(tokens, at + 1);
    const text = textBetween(line, tokens, at + 1, end);
    return text === '' ? unread(tokens, at, end, 'noteMissing') : { phrase: { is: 'note', text }, next: end };
  },
  fault: (_line, tokens, at) => {
    const next = endOfWords(tokens, at + 1);
    const words = wordsBetween(tokens, at + 1, next);
    return words === '' ? unread(tokens, at, next, 'faultMissing') : { phrase: { is: 'fault', words }, next };
  },
  read: (_line, tokens, at) => readReading(tokens, at),
  stopped: (_line, tokens, at) => readStoppage(tokens, at, 'full'),
  reduced: (_line, tokens, at) => readStoppage(tokens, at, 'reduced'),
  spent: (line, tokens, at) => {
    const end = endOfText(tokens, at + 1);
    const amount = tokens[at + 1];
    const words = textBetween(line, tokens, at + 2, end);
    if (amount === undefined || numberOf(amount) === null || at + 2 > end || words === '')
      return unread(tokens, at, Math.max(end, at + 1), 'amountMissing');
    return { phrase: { is: 'spent', amount: amount.text, words }, next: end };
  },
  no: (_line, tokens, at) => ({ phrase: { is: 'none', of: noneNamed(tokens[at + 1]) ?? 'part' }, next: at + 2 }),
};

function readPart(tokens: readonly Token[], at: number, amount: string, from: number): Read {
  const next = endOfWords(tokens, from);
  const words = wordsBetween(tokens, from, next);
  const quantity = parseQuantity(amount);
  if (words === '' || quantity === undefined) return unread(tokens, at, next, 'partMissing');
  return { phrase: { is: 'part', quantity, words }, next };
}

function readTime(tokens: readonly Token[], minutes: number, next: number): Read {
  const after = tokens[next];
  const kind = after === undefined || after.isQuoted ? '' : after.text.toLowerCase();
  if (kind === 'overtime' || kind === 'travel')
    return { phrase: { is: 'time', minutes, timeType: kind }, next: next + 1 };
  return { phrase: { is: 'time', minutes, timeType: 'regular' }, next };
}

function readStoppage(tokens: readonly Token[], at: number, extent: 'full' | 'reduced'): Read {
  const time = timeAt(tokens, at + 1);
  if (time === null) return unread(tokens, at, at + 1, 'howLongMissing');
  return { phrase: { is: 'stoppage', minutes: time.minutes, extent }, next: at + 1 + time.length };
}

/** The last number is the value: names of points may have numbers in them. A unit may stand behind it. */
function readReading(tokens: readonly Token[], at: number): Read {
  let next = at + 1;
  let valueAt: number | null = null;
  while (
    next < tokens.length &&
    (isWordOfReading(tokens, next) || (valueAt === null && timeAt(tokens, next) !== null))
  ) {
    if (numberOf(tokens[next]) !== null) valueAt = next;
    else if (withUnit(tokens[next]) !== null) valueAt = next;
    next += 1;
  }
  const token = valueAt === null ? undefined : tokens[valueAt];
  if (valueAt === null || token === undefined) return unread(tokens, at, next, 'valueMissing');
  const words = wordsBetween(tokens, at + 1, valueAt);
  const attached = withUnit(token);
  const behind = tokens.slice(valueAt + 1, next);
  const [unit] = behind;
  const end = unit === undefined || attached !== null ? valueAt + 1 : valueAt + 2;
  const value = attached?.value ?? numberOf(token) ?? 0;
  if (words === '') return unread(tokens, at, end, 'valueMissing');
  return {
    phrase: { is: 'reading', words, value, unit: attached?.unit ?? (end > valueAt + 1 ? (unit?.text ?? null) : null) },
    next: end,
  };
}

function isWordOfReading(tokens: readonly Token[], at: number): boolean {
  return numberOf(tokens[at]) !== null ? amountAt(tokens, at) === null : !beginsPhrase(tokens, at);
}

const WITH_UNIT = /^(-?\d{1,9}(?:[.,]\d{1,6})?)([°%\p{L}Ω][^\s\d]*)$/u;

/** `68°C`, `1200h`. */
function withUnit(token: Token | undefined): { readonly value: number; readonly unit: string } | null {
  if (token === undefined || token.isQuoted) return null;
  const match = WITH_UNIT.exec(token.text);
  if (match?.[1] === undefined || match[2] === undefined) return null;
  return { value: Number(match[1].replace(',', '.')), unit: match[2] };
}

function unread(tokens: readonly Token[], at: number, next: number, because: Unread): Read {
  const until = Math.max(next, at + 1);
  return { phrase: { is: 'unread', text: wordsBetween(tokens, at, until), because }, next: until };
}

function endOfWords(tokens: readonly Token[], from: number): number {
  let at = from;
  while (at < tokens.length && !beginsPhrase(tokens, at)) at += 1;
  return at;
}

/** Free text runs to a semicolon or the end of the line. */
function endOfText(tokens: readonly Token[], from: number): number {
  let at = from;
  while (at < tokens.length && (tokens[at]?.isQuoted === true || tokens[at]?.text !== END)) at += 1;
  return at;
}

function wordsBetween(tokens: readonly Token[], from: number, to: number): string {
  return tokens
    .slice(from, to)
    .map(({ text }) => text)
    .join(' ')
    .replace(/\s+/g, ' ')
    .trim();
}

/** As it was written; two semicolons are one. */
function textBetween(line: string, tokens: readonly Token[], from: number, to: number): string {
  const [first, last] = [tokens[from], tokens[to - 1]];
  if (first === undefined || last === undefined || to <= from) return '';
  return line.slice(first.from, last.to).replaceAll(';;', ';').trim();
}
