const words: Readonly<Record<string, string>> = {
  '0': 'zero',
  '1': 'one',
  '2': 'two',
  '3': 'three',
  '4': 'four',
  '5': 'five',
  '6': 'six',
  '7': 'seven',
  '8': 'eight',
  '9': 'nine',
  '.': 'point',
  ',': 'point',
  '-': 'minus',
};

/** What was typed, digit by digit: “Six one point nine”. */
export function digitsInWords(text: string): string {
  const said = [...text].map((character) => words[character] ?? character).join(' ');
  return `${said.slice(0, 1).toUpperCase()}${said.slice(1)}`;
}
