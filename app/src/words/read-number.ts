/** What was typed as a number, with a point or a comma; null for nothing, a lone sign or point. */
export function readNumber(text: string): number | null {
  return /^-?(\d+[.,]?\d*|[.,]\d+)$/.test(text) ? Number(text.replace(',', '.')) : null;
}
