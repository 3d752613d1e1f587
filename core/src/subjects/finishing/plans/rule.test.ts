import fc from 'fast-check';
import ICAL from 'ical.js';
import { RRule } from 'rrule';
import { addDays, isLocalDay, type LocalDay } from '../../../kernel/time/local-day';
import { firstOn, nextOn, problemOfRule } from './rule';

const day = (text: string): LocalDay => text as LocalDay;

/** The first dates of a rule, one after the other. */
function datesOf(rule: string, from: LocalDay, count: number): LocalDay[] {
  const dates: LocalDay[] = [];
  let next = firstOn(rule, from);
  while (next !== null && dates.length < count) {
    dates.push(next);
    next = nextOn(rule, from, next);
  }
  return dates;
}

/** The same by another library, which begins at the first date. */
function byIcal(rule: string, from: LocalDay, count: number): string[] {
  const begin = ICAL.Time.fromDateString(from);
  const iterator = ICAL.Recur.fromString(rule).iterator(begin);
  const dates: string[] = [];
  for (let next = iterator.next(); next && dates.length < count; next = iterator.next()) dates.push(next.toString());
  return dates;
}

const daysOf = (year: number, month: string, ...days: number[]): string[] =>
  days.map((each) => `${year}-${month}-${String(each).padStart(2, '0')}`);

describe('what RFC 5545 forbids (3.3.10)', () => {
  it.each([
    'FREQ=WEEKLY;BYDAY=2MO',
    'FREQ=DAILY;BYDAY=-1FR',
    'FREQ=WEEKLY;BYMONTHDAY=3',
    'FREQ=MONTHLY;BYWEEKNO=20',
    'FREQ=MONTHLY;BYYEARDAY=100',
    'FREQ=YEARLY;BYWEEKNO=20;BYDAY=1MO',
    'FREQ=DAILY;COUNT=3;UNTIL=20271231',
    'FREQ=MONTHLY;BYSETPOS=1',
    'FREQ=YEARLY;BYMONTH=13',
    'FREQ=MONTHLY;BYMONTHDAY=0',
    'FREQ=MONTHLY;BYMONTHDAY=32',
  ])('is refused: %s', (rule) => expect(problemOfRule(rule, day('2026-01-01'))).toBe('rule_forbidden'));

  it.each(['FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30', 'FREQ=YEARLY;BYMONTH=4,6;BYMONTHDAY=31'])(
    'never comes, and is known so at once: %s',
    (rule) => expect(problemOfRule(rule, day('2026-01-01'))).toBe('rule_never'),
  );

  it('has nothing at a place before the beginning of its set', () => {
    // Of one Friday the second from the end is none; of two days it is the first.
    expect(problemOfRule('FREQ=MONTHLY;BYDAY=1FR;BYSETPOS=-2', day('2026-01-01'))).toBe('rule_never');
    expect(datesOf('FREQ=MONTHLY;BYMONTHDAY=1,15;BYSETPOS=-2', day('2026-01-01'), 2)).toEqual([
      '2026-01-01',
      '2026-02-01',
    ]);
    // Five Mondays in a month: only then is there a fifth from the end.
    expect(datesOf('FREQ=MONTHLY;BYDAY=MO;BYSETPOS=-5;COUNT=3', day('2026-01-01'), 9)).toEqual([
      '2026-03-02',
      '2026-06-01',
      '2026-08-03',
    ]);
  });
});

// The examples of RFC 5545, section 3.8.5.3, with what it says of their dates. Times of the day are left out.
const examples: readonly (readonly [rule: string, from: string, dates: readonly string[]])[] = [
  ['FREQ=DAILY;COUNT=10', '1997-09-02', daysOf(1997, '09', 2, 3, 4, 5, 6, 7, 8, 9, 10, 11)],
  ['FREQ=DAILY;INTERVAL=2', '1997-09-02', daysOf(1997, '09', 2, 4, 6, 8)],
  ['FREQ=DAILY;INTERVAL=10;COUNT=5', '1997-09-02', [...daysOf(1997, '09', 2, 12, 22), ...daysOf(1997, '10', 2, 12)]],
  ['FREQ=WEEKLY;INTERVAL=2;WKST=SU', '1997-09-02', [...daysOf(1997, '09', 2, 16, 30), ...daysOf(1997, '10', 14, 28)]],
  [
    'FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH',
    '1997-09-02',
    daysOf(1997, '09', 2, 4, 9, 11, 16, 18, 23, 25, 30).concat('1997-10-02'),
  ],
  ['FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO', '1997-08-05', daysOf(1997, '08', 5, 10, 19, 24)],
  ['FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=SU', '1997-08-05', daysOf(1997, '08', 5, 17, 19, 31)],
  ['FREQ=MONTHLY;COUNT=4;BYDAY=1FR', '1997-09-05', ['1997-09-05', '1997-10-03', '1997-11-07', '1997-12-05']],
  [
    'FREQ=MONTHLY;INTERVAL=2;COUNT=4;BYDAY=1SU,-1SU',
    '1997-09-07',
    ['1997-09-07', '1997-09-28', '1997-11-02', '1997-11-30'],
  ],
  [
    'FREQ=MONTHLY;COUNT=6;BYDAY=-2MO',
    '1997-09-22',
    ['1997-09-22', '1997-10-20', '1997-11-17', '1997-12-22', '1998-01-19', '1998-02-16'],
  ],
  [
    'FREQ=MONTHLY;BYMONTHDAY=-3',
    '1997-09-28',
    ['1997-09-28', '1997-10-29', '1997-11-28', '1997-12-29', '1998-01-29', '1998-02-26'],
  ],
  [
    'FREQ=MONTHLY;INTERVAL=18;COUNT=10;BYMONTHDAY=10,11,12,13,14,15',
    '1997-09-10',
    [...daysOf(1997, '09', 10, 11, 12, 13, 14, 15), ...daysOf(1999, '03', 10, 11, 12, 13)],
  ],
  [
    'FREQ=YEARLY;COUNT=10;BYMONTH=6,7',
    '1997-06-10',
    [1997, 1998, 1999, 2000, 2001].flatMap((year) => [`${year}-06-10`, `${year}-07-10`]),
  ],
  [
    'FREQ=YEARLY;INTERVAL=3;COUNT=10;BYYEARDAY=1,100,200',
    '1997-01-01',
    [
      '1997-01-01',
      '1997-04-10',
      '1997-07-19',
      '2000-01-01',
      '2000-04-09',
      '2000-07-18',
      '2003-01-01',
      '2003-04-10',
      '2003-07-19',
      '2006-01-01',
    ],
  ],
  ['FREQ=YEARLY;BYDAY=20MO', '1997-05-19', ['1997-05-19', '1998-05-18', '1999-05-17']],
  ['FREQ=YEARLY;BYWEEKNO=20;BYDAY=MO', '1997-05-12', ['1997-05-12', '1998-05-11', '1999-05-17']],
  [
    'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13',
    '1998-02-13',
    ['1998-02-13', '1998-03-13', '1998-11-13', '1999-08-13', '2000-10-13'],
  ],
  [
    'FREQ=YEARLY;INTERVAL=4;BYMONTH=11;BYDAY=TU;BYMONTHDAY=2,3,4,5,6,7,8',
    '1996-11-05',
    ['1996-11-05', '2000-11-07', '2004-11-02'],
  ],
  ['FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3', '1997-09-04', ['1997-09-04', '1997-10-07', '1997-11-06']],
  [
    'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2',
    '1997-09-29',
    ['1997-09-29', '1997-10-30', '1997-11-27', '1997-12-30', '1998-01-29'],
  ],
  // An invalid date is passed over, as the last example of the section has it.
  [
    'FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5',
    '2007-01-15',
    ['2007-01-15', '2007-01-30', '2007-02-15', '2007-03-15', '2007-03-30'],
  ],
];

describe('the dates of a rule', () => {
  // The second library does not know of weeks of a year, nor the nth weekday of one.
  it.each(examples)('%s from %s are those of RFC 5545, and those of a second library', (rule, from, dates) => {
    expect(problemOfRule(rule, day(from))).toBeNull();
    expect(datesOf(rule, day(from), dates.length)).toEqual(dates);
    if (!/20MO|WEEKNO/.test(rule)) expect(byIcal(rule, day(from), dates.length)).toEqual(dates);
  });

  it('come every three months from 1 March on 1 June, 1 September and 1 December (common practice)', () => {
    expect(datesOf('FREQ=MONTHLY;INTERVAL=3', day('2026-03-01'), 4)).toEqual([
      '2026-03-01',
      '2026-06-01',
      '2026-09-01',
      '2026-12-01',
    ]);
  });

  it('are on the last day of each month where the rule says so, and pass over months that are too short where it says the 31st', () => {
    expect(datesOf('FREQ=MONTHLY;BYMONTHDAY=-1', day('2027-12-31'), 3)).toEqual([
      '2027-12-31',
      '2028-01-31',
      '2028-02-29',
    ]);
    expect(datesOf('FREQ=MONTHLY', day('2027-01-31'), 3)).toEqual(['2027-01-31', '2027-03-31', '2027-05-31']);
    expect(datesOf('FREQ=YEARLY', day('2028-02-29'), 2)).toEqual(['2028-02-29', '2032-02-29']);
  });

  it('are the same as those of the library that goes through all of them from the first', () => {
    const rules = fc.record({
      freq: fc.constantFrom('DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'),
      interval: fc.integer({ min: 1, max: 9 }),
      more: fc.constantFrom(
        '',
        ';BYDAY=TU,SU',
        ';BYMONTHDAY=1,31',
        ';BYMONTH=2,11',
        ';BYMONTH=3;BYDAY=WE',
        ';WKST=SU',
        ';BYYEARDAY=1,200,-1',
      ),
      from: fc.integer({ min: 0, max: 2_000 }),
      after: fc.integer({ min: -400, max: 6_000 }),
    });
    fc.assert(
      fc.property(rules, ({ freq, interval, more, from, after }) => {
        fc.pre(!(more.includes('YEARDAY') && freq !== 'YEARLY'));
        const rule = `FREQ=${freq};INTERVAL=${interval}${more}`;
        const begin = addDays(day('2020-01-01'), from);
        const asked = addDays(begin, after);
        const plain = new RRule({ ...RRule.parseString(rule), dtstart: new Date(`${begin}T00:00:00Z`) });
        const expected =
          plain
            .after(new Date(`${asked}T00:00:00Z`))
            ?.toISOString()
            .slice(0, 10) ?? null;
        expect(nextOn(rule, begin, asked)).toBe(expected);
      }),
    );
  });

  it.each([
    ['FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', 'rule_never'],
    ['FREQ=MINUTELY', 'rule_too_often'],
    ['FREQ=DAILY;BYHOUR=8,9', 'rule_too_often'],
    ['FREQ=FORTNIGHTLY', 'rule_unreadable'],
    ['FREQ=DAILY;INTERVAL=0', 'rule_unreadable'],
    ['FREQ=DAILY;COUNT=-1', 'rule_unreadable'],
    ['FREQ=DAILY;FREQ=WEEKLY', 'rule_unreadable'],
    ['INTERVAL=2', 'rule_unreadable'],
    ['every Tuesday', 'rule_unreadable'],
    ['', 'rule_unreadable'],
    ['DTSTART:20260101\nRRULE:FREQ=DAILY', 'rule_unreadable'],
  ])('%s is refused: %s', (rule, problem) => {
    expect(problemOfRule(rule, day('2026-01-01'))).toBe(problem);
  });

  it('never throws, whatever stands in a rule', () => {
    const part = fc.stringMatching(/^[A-Z]{1,10}=[A-Z0-9,+-]{0,8}$/);
    fc.assert(
      fc.property(fc.array(part, { maxLength: 4 }), (parts) => {
        const problem = problemOfRule(['FREQ=MONTHLY', ...parts].join(';'), day('2026-01-01'));
        expect([null, 'rule_never', 'rule_unreadable', 'rule_too_often']).toContain(problem);
      }),
      { numRuns: 30 },
    );
    expect(isLocalDay('2026-02-30')).toBe(false);
  });
});
