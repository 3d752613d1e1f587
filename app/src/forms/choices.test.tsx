import { useState, type ReactElement } from 'react';
import { asId, type PersonId } from '@oilcan/core/kernel';
import { ann, aPerson, put, site, smallWorks } from '@oilcan/core/testing';
import { usePeopleOf } from '../data/queries/use-people-of';
import { canPress, press, type, words } from '../testing/hands';
import { TestWorks } from '../testing/works';
import { DayChoice } from './day-choice';
import { PeopleChoice } from './people-choice';

jest.mock('expo-router', () => jest.requireActual<object>('../testing/router'));

let works: TestWorks;
afterEach(() => works.close());

function Who(): ReactElement {
  const [chosen, setChosen] = useState<readonly PersonId[]>([]);
  return (
    <PeopleChoice
      label="Who does it"
      {...usePeopleOf(site)}
      chosen={chosen}
      onPress={(id) => setChosen(chosen.includes(id) ? [] : [...chosen, id])}
    />
  );
}

describe('people', () => {
  const crowd = Array.from({ length: 30 }, (_, at) =>
    aPerson({ id: asId<PersonId>(`p${at}`), name: `Person ${String.fromCharCode(65 + (at % 26))}${at} Zuse` }),
  );

  it('are all there where they are few, oneself first', async () => {
    works = await TestWorks.open(smallWorks());
    await works.show(<Who />);
    expect(canPress(ann.name, 'checkbox')).toBe(true);
    expect(words()).not.toContain('Somebody else');
  });

  it('are found by any of their names where they are many, and stay in sight once chosen', async () => {
    works = await TestWorks.open([...smallWorks(), ...crowd.map((person) => put('people', person))]);
    await works.show(<Who />);
    expect([canPress(ann.name, 'checkbox'), canPress(/Person D3/, 'checkbox')]).toEqual([true, false]);
    await press('Who does it: somebody else');
    await type(/^Find by name among/, 'zuse d3');
    await press(/Person D3/, 'checkbox');
    await type(/^Find by name among/, 'nobody at all');
    expect(words()).toContain('Nobody is called “nobody at all”.');
    expect(canPress(/Person D3/, 'checkbox')).toBe(true);
  });
});

function Which({ first }: { readonly first: string }): ReactElement {
  const [day, setDay] = useState(first);
  return (
    <>
      <DayChoice label="Due" offered={[0, 1]} zone="Europe/Vienna" language="en" day={day} onChoose={setDay} />
      {`chosen: ${day}.`}
    </>
  );
}

describe('a day', () => {
  it('is chosen and let go of with a press, and one that is not offered stays in sight', async () => {
    works = await TestWorks.open(smallWorks());
    await works.show(<Which first="2031-05-20" />);
    expect(words()).toMatch(/20 May/);
    await press('today', 'radio');
    expect(words()).toMatch(/chosen: \d{4}-\d\d-\d\d\./);
    expect(words()).not.toMatch(/20 May/);
    await press('today', 'radio');
    expect(words()).toContain('chosen: .');
    expect(canPress('Due: another day')).toBe(true);
  });
});
