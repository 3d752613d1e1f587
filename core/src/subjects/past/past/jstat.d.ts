/** What the tests use of the statistics library, which brings no types. */
declare module 'jstat' {
  export const jStat: {
    readonly chisquare: { inv(share: number, degrees: number): number };
    readonly binomial: { cdf(count: number, of: number, share: number): number };
    readonly normal: { cdf(value: number, mean: number, deviation: number): number };
    gammaln(x: number): number;
    /** With both set to 1, the definition that spreadsheets use. */
    quantiles(values: readonly number[], shares: readonly number[], alpha: 1, beta: 1): number[];
  };
}
