/** Why a database cannot be used, in one sentence for whoever started the program. */
export class DatabaseProblem extends Error {
  constructor(sentence: string) {
    super(sentence);
    this.name = 'DatabaseProblem';
  }
}
