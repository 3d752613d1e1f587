/** What is used of it in tests and benchmarks. */
declare module 'ml-regression-theil-sen' {
  export default class TheilSenRegression {
    constructor(x: readonly number[], y: readonly number[]);
    readonly slope: number;
  }
}
