import { parseDuration } from '../../../kernel/time/duration';

/** A word of the line, and where it stands. */
export interface Token {
  readonly text: string;
  readonly from: number;
  readonly to: number;
  /** It stood in quotation marks, and is only a word, whatever it looks like. */
  readonly isQuoted: boolean;
}

const TOKEN = /"([^"]*)"?|;;|;|[^\s;"]+/g;

/** The words of a line; a semicolon is a word of its own, two of them are none. */
export function tokensOf(line: string): Token[] {
  return [...line.matchAll(TOKEN)].map((match) => ({
    text: match[1] ?? match[0],
    from: match.index,
    to: match.index + match[0].length,
    isQuoted: match[0].startsWith('"'),
  }));
}

export const END = ';';

const keywords = ['note', 'fault', 'read', 'stopped', 'reduced', 'spent', 'no'] as const;
export type Keyword = (typeof keywords)[number];

/** Other words that people use for one of them. */
const synonyms: Readonly<Record<string, Keyword>> = { reading: 'read', stood: 'stopped', paid: 'spent', notes: 'note' };

const nones: Readonly<Record<string, 'part' | 'stoppage' | 'time'>> = {
  part: 'part',
  parts: 'part',
  stoppage: 'stoppage',
  standstill: 'stoppage',
  time: 'time',
};

/** Of what there was none; null for what is none of these. */
export function noneNamed(token: Token | undefined): 'part' | 'stoppage' | 'time' | null {
  return token === undefined || token.isQuoted ? null : (nones[token.text.toLowerCase()] ?? null);
}

/** The keyword that a token is; `no` only before what there can be none of. */
export function keywordAt(tokens: readonly Token[], at: number): Keyword | null {
  const token = tokens[at];
  if (token === undefined || token.isQuoted) return null;
  const text = token.text.toLowerCase();
  const word = keywords.find((each) => each === text) ?? (Object.hasOwn(synonyms, text) ? synonyms[text] : undefined);
  if (word === 'no' && noneNamed(tokens[at + 1]) === null) return null;
  return word ?? null;
}

const AMOUNT = /^(\d{1,6}(?:[.,]\d{1,3})?)x$/i;
const NUMBER = /^-?\d{1,9}(?:[.,]\d{1,6})?$/;
/** What has one of these is a time; a bare number is none. */
const HAS_UNIT_OF_TIME = /[hm:]/i;
/** `1 hour and 30 minutes` is five tokens. */
const LONGEST_TIME = 5;

/** `2x`, or `2 x`: how much, and how many tokens that takes. */
export function amountAt(
  tokens: readonly Token[],
  at: number,
): { readonly amount: string; readonly length: number } | null {
  const token = tokens[at];
  if (token === undefined || token.isQuoted) return null;
  const match = AMOUNT.exec(token.text);
  if (match?.[1] !== undefined) return { amount: match[1], length: 1 };
  const next = tokens[at + 1];
  const isTimes = next !== undefined && !next.isQuoted && ['x', 'times'].includes(next.text.toLowerCase());
  return isTimes && AMOUNT.test(`${token.text}x`) ? { amount: token.text, length: 2 } : null;
}

/** `1:30`, `1.5h`, `90m`, `1h30`, `1h 30m`, `2 hours`: minutes, and how many tokens they take, as many as belong to it. */
export function timeAt(
  tokens: readonly Token[],
  at: number,
): { readonly minutes: number; readonly length: number } | null {
  for (let length = Math.min(LONGEST_TIME, tokens.length - at); length > 0; length -= 1) {
    const taken = tokens.slice(at, at + length);
    if (taken.some(({ isQuoted }) => isQuoted)) continue;
    const text = taken.map((token) => token.text).join(' ');
    const minutes = HAS_UNIT_OF_TIME.test(text) ? parseDuration(text) : undefined;
    // The 30 of “1 h 30 x seal” is of the part.
    const isOfPart = length > 1 && amountAt(tokens, at + length - 1) !== null;
    if (minutes !== undefined && !isOfPart) return { minutes, length };
  }
  return null;
}

/** A plain number, `68` or `-3,5`. */
export function numberOf(token: Token | undefined): number | null {
  if (token === undefined || token.isQuoted || !NUMBER.test(token.text)) return null;
  return Number(token.text.replace(',', '.'));
}

/** Whether something begins here, so that the words before it end. */
export function beginsPhrase(tokens: readonly Token[], at: number): boolean {
  const token = tokens[at];
  if (token === undefined) return true;
  if (token.isQuoted) return false;
  return (
    token.text === END || keywordAt(tokens, at) !== null || amountAt(tokens, at) !== null || timeAt(tokens, at) !== null
  );
}
