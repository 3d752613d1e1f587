const numbers: readonly string[] = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];
const NUMBER = numbers.join('|');

/** What people say for parts of an hour, as it is typed. */
const spokenTimes: readonly (readonly [RegExp, (match: readonly string[]) => string])[] = [
  [/\ban hour and a half\b/gi, () => '1.5 hours'],
  [/\bhalf an hour\b/gi, () => '30 minutes'],
  [/\b(?:a )?quarter of an hour\b/gi, () => '15 minutes'],
  [/\bthree quarters of an hour\b/gi, () => '45 minutes'],
  [new RegExp(`\\b(${NUMBER}|\\d+) and a half hours?\\b`, 'gi'), ([, whole = '']) => `${figure(whole)}.5 hours`],
  [/\ban hour\b/gi, () => '1 hour'],
  [
    new RegExp(`\\b(${NUMBER}) (hours?|minutes?|times)\\b`, 'gi'),
    ([, count = '', unit = '']) => `${figure(count)} ${unit}`,
  ],
];

function figure(word: string): string {
  const index = numbers.indexOf(word.toLowerCase());
  return index < 0 ? word : String(index);
}

/** What was dictated as somebody would type it: times and counts in figures. The words of a note stay as they were said. */
export function fromSpoken(spoken: string): string {
  const noteAt = spoken.search(/\bnote\b/i);
  const [said, note] = noteAt < 0 ? [spoken, ''] : [spoken.slice(0, noteAt), spoken.slice(noteAt)];
  const typed = spokenTimes.reduce(
    (text, [form, instead]) => text.replace(form, (...match) => instead(match.filter(isText))),
    said,
  );
  return `${typed}${note}`;
}

function isText(part: unknown): part is string {
  return typeof part === 'string';
}
