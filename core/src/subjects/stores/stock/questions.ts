import type { Thousandths } from '../../../kernel/quantity/quantity';

/** So many times what such jobs take is asked about. */
const FAR_MORE = 4;
/** Where nothing is known of what is usual, so much is asked about. */
const MUCH: Thousandths = 100_000;

/** What is asked about an amount before it is kept. Nothing of it is refused: it may be true. */
export type AmountQuestion = 'moreThanThere' | 'farMoreThanUsual';

/**
 * Whether an amount looks like a slip of the finger: more than the bin holds by the books, or far more than is planned and than such
 * jobs take.
 *
 * @param usual what such jobs took, in the middle; null where nothing is known
 * @param planned what is planned on this job; null where nothing is
 */
export function questionsAbout(
  quantity: Thousandths,
  { onHand, usual, planned }: { onHand: Thousandths; usual: Thousandths | null; planned: Thousandths | null },
): AmountQuestion[] {
  const questions: AmountQuestion[] = [];
  const known = Math.max(usual ?? 0, planned ?? 0);
  if (quantity > (known > 0 ? FAR_MORE * known : MUCH)) questions.push('farMoreThanUsual');
  if (quantity > onHand) questions.push('moreThanThere');
  return questions;
}
