/** Text that is HTML already. */
export class Markup {
  readonly text: string;

  constructor(text: string) {
    this.text = text;
  }
}

const entities: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};

const escaped = (text: string): string => text.replace(/[&<>"']/g, (character) => entities[character] ?? '');

type Part = string | number | Markup | readonly Markup[] | null | false;

const textOf = (part: Part): string => {
  if (part === null || part === false) return '';
  if (part instanceof Markup) return part.text;
  return Array.isArray(part) ? part.map((each: Markup) => each.text).join('') : escaped(String(part));
};

/** HTML in which everything that is put in stands as text, whatever it holds; only what is HTML already stays so. */
export function markup(strings: TemplateStringsArray, ...parts: readonly Part[]): Markup {
  return new Markup(strings.map((string, index) => string + textOf(parts[index] ?? null)).join(''));
}
