/** What was typed as a number; null for nothing, a lone sign or point. */
export function readNumber(text: string): number | null {
  return /^-?(\d+\.?\d*|\.\d+)$/.test(text) ? Number(text) : null;
}
