import { errorWithoutValues } from './error-log';
import { translate } from './problem';

const ofDatabase = (code: string): Error =>
  Object.assign(new Error("insert into `entries` (`body`) values ('Ines was ill') - oh dear"), { code });

describe('an error of the database', () => {
  it('is busy when another writes, to be tried again soon', () => {
    for (const code of ['SQLITE_BUSY', 'SQLITE_BUSY_SNAPSHOT', 'SQLITE_LOCKED']) {
      expect(translate(ofDatabase(code) as never)).toMatchObject({ code: 'busy', values: { seconds: 1 } });
    }
  });

  it('comes into the log without a value of the row', () => {
    const logged = errorWithoutValues(ofDatabase('SQLITE_CONSTRAINT'));
    expect(logged).toMatchObject({ type: 'Error', message: 'SQLITE_CONSTRAINT' });
    expect(logged.stack).toContain('problem.test');
    expect(JSON.stringify(logged)).not.toContain('ill');
  });
});
