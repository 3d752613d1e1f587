import { defineError } from '../../../kernel/errors/catalogue';

export const countsErrors = {
  count_settled: defineError(409, (v) =>
    v['is'] === 'dismissed'
      ? `${v['who']} set this count aside. Count the bin again.`
      : `${v['who']} posted this count. Count the bin again if it is wrong.`,
  ),
};

type CountsErrors = typeof countsErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends CountsErrors {}
}
