import { money } from '../../../kernel/money/money';
import { parseInstant } from '../../../kernel/time/instant';
import { costOf } from '../../../registry/entries';
import { put, someSettings, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { currentOf } from '../../orders/work/entries';

const onWork = { workOrderId: workId };
const crane = {
  ...onWork,
  words: 'Crane',
  startedAt: parseInstant(minutesLater(-90)),
  minutes: 60,
  rateMinor: 9_000,
  currency: 'EUR',
  receipt: null,
};
const repair = {
  ...onWork,
  words: 'Rewound the motor',
  supplier: 'Coil shop',
  minor: 100_000,
  currency: 'EUR',
  arrivedPercent: 40,
  receipt: null,
};

describe('costs beside time and parts', () => {
  // Common practice: two people and a tool for an hour each are three lines; a service received in part costs what arrived.
  it('are a tool by the hour and what of a service arrived', async () => {
    const works = new Works();
    expect(codeOf(await works.do('tool.add', crane))).toBe('accepted');
    expect(codeOf(await works.do('service.add', repair))).toBe('accepted');
    const { groups } = costOf(works.entries);
    expect([groups.other, groups.boughtIn]).toEqual([[money(9_000, 'EUR')], [money(40_000, 'EUR')]]);
  });

  it('are amended at the rate and the price of then', async () => {
    const works = new Works();
    await works.do('tool.add', crane);
    await works.do('service.add', repair);
    const idOf = (kind: 'tool' | 'service') => currentOf(works.entries, kind)[0]?.id ?? ('none' as never);
    await works.do('tool.amend', { ...onWork, entryId: idOf('tool'), minutes: 50 });
    await works.do('service.amend', { ...onWork, entryId: idOf('service'), arrivedPercent: 100 });
    const { groups } = costOf(works.entries);
    expect([groups.other, groups.boughtIn]).toEqual([[money(7_500, 'EUR')], [money(100_000, 'EUR')]]);
  });

  it.each([
    [{ minutes: 0 }, 'labor_not_positive'],
    [{ minutes: 26 * 60 }, 'labor_too_long'],
    [{ minutes: 120 }, 'labor_in_future'],
    [{ rateMinor: -1 }, 'invalid'],
    [{ words: ' ' }, 'invalid'],
  ])('of a tool are refused with %j', async (given, code) => {
    expect(codeOf(await new Works().do('tool.add', { ...crane, ...given }))).toBe(code);
  });

  it.each([[{ arrivedPercent: 0 }], [{ arrivedPercent: 101 }], [{ minor: 0 }]])(
    'of a service are refused with %j',
    async (given) => {
      expect(codeOf(await new Works().do('service.add', { ...repair, ...given }))).toBe('invalid');
    },
  );

  it('are charged to the cost centre of the machine, or to one that is chosen and there', async () => {
    const works = new Works();
    expect(codeOf(await works.do('tool.add', { ...crane, costCentre: 'snow' }))).toBe('not_found');
    works.records.change([put('settings', someSettings({ costCentres: [{ id: 'snow', name: 'Snow' }] }))]);
    expect(codeOf(await works.do('tool.add', { ...crane, costCentre: 'snow' }))).toBe('accepted');
    expect(
      codeOf(
        await works.do('expense.add', {
          ...onWork,
          minor: 5,
          currency: 'EUR',
          words: 'Taxi',
          receipt: null,
          costCentre: 'fog',
        }),
      ),
    ).toBe('not_found');
    expect(currentOf(works.entries, 'tool')[0]?.content.costCentre).toBe('snow');
  });
});
