import { addDays, type LocalDay } from '@oilcan/core/kernel';
import { everything } from './narrowing';
import { keepTable, peekKeptTable } from '../../../ui/state/kept-tables';
import { allWork, forgetView, keepView, openView, shownToday, useKeptViews, WORK_TABLE } from './use-narrowing';

const today = '2026-11-23' as LocalDay;
const late = { narrowing: { ...everything, time: ['late'] }, order: 'due' as const };

describe('what hides rows of the Shift list', () => {
  it('holds on the day on which it was chosen, and only the order from then on', () => {
    expect(shownToday({ shown: late, day: today }, today)).toEqual(late);
    expect(shownToday({ shown: late, day: today }, addDays(today, 1))).toEqual({ ...allWork, order: 'due' });
    expect(shownToday({ shown: late, day: null }, today)).toEqual({ ...allWork, order: 'due' });
  });
});

describe('a kept view', () => {
  afterEach(() => forgetView('Mine'));
  const few = { hidden: ['place', 'trade'], sortedBy: { id: 'due', desc: true } };

  it('brings back what it showed and the columns of its table', () => {
    keepTable(WORK_TABLE, few);
    keepView('Mine', late);
    keepTable(WORK_TABLE, { hidden: null, sortedBy: null });
    const [view] = useKeptViews.getState().value;
    expect(view === undefined ? null : openView(view)).toEqual(late);
    expect(peekKeptTable(WORK_TABLE)).toEqual(few);
  });

  it('of before there were columns leaves the table as it is', () => {
    keepTable(WORK_TABLE, few);
    expect(openView({ name: 'Mine', shown: late, table: null })).toEqual(late);
    expect(peekKeptTable(WORK_TABLE)).toEqual(few);
  });
});
