import { act, screen } from '@testing-library/react';
import { asId, type PersonId, type SiteId } from '@oilcan/core';
import { ann, aPerson, lea, otherSite, put, site, smallWorks, workId, aSite } from '@oilcan/core/testing';
import { perform, usePhone } from '../../data/store';
import { visited } from '../../testing/router';
import { canPress, press, TestWorks, words } from '../../testing/works';
import { useLighting } from '../../ui/lighting';
import { Words } from '../../ui/words';
import { Frame } from './frame';
import { NoPage } from './no-page';
import { PersonMark } from './person-mark';
import { SiteMark } from './site-mark';
import { useSiteChoice } from './use-site';

const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });

let works: TestWorks;
afterEach(async () => {
  act(() => usePhone.setState({ keeping: 'well', clockAhead: 0 }));
  await works.close();
});

describe('the frame', () => {
  const places = (): string[] => screen.getAllByRole('link').map((each) => each.textContent ?? '');

  it.each([
    ['a technician', ann, ['Shift', 'Plant', 'Stores']],
    ['a lead', lea, ['Shift', 'Plant', 'Stores', 'Desk']],
    ['a storekeeper', arun, ['Plant', 'Stores']],
  ])('has the places of %s', async (_, person, expected) => {
    works = await TestWorks.open([...smallWorks(), put('people', arun)], person);
    visited.push('/shift');
    await works.show(<Frame person={person}>{null}</Frame>);
    expect(places()).toEqual(expected);
    await press('Plant', 'link');
    expect(visited.at(-1)).toBe('/plant');
  });

  it('leaves the foot to the dock where a job is open on a phone, and not on a wide screen', async () => {
    works = await TestWorks.open(smallWorks());
    visited.push('/shift/w-1');
    await works.show(<Frame person={ann}>{null}</Frame>);
    expect(screen.queryByRole('navigation')).toBeNull();
    await works.show(<Frame person={ann}>{null}</Frame>, { isWide: true });
    expect(screen.getByRole('navigation', { name: 'Places' })).toBeTruthy();
  });

  it('says over every screen that this browser does not keep what is recorded, until that was read', async () => {
    works = await TestWorks.open(smallWorks());
    visited.push('/shift/w-1');
    act(() => usePhone.setState({ keeping: 'taken-away' }));
    await works.show(<Frame person={ann}>{null}</Frame>);
    expect(words()).toContain('What was not sent is gone');
    await press('I have read it');
    expect(words()).not.toContain('What was not sent is gone');
  });

  it('says on the lists, once, that the clock is wrong, and never over a job', async () => {
    works = await TestWorks.open(smallWorks());
    act(() => usePhone.setState({ clockAhead: 2 * 3_600_000 }));
    visited.push('/shift');
    await works.show(<Frame person={ann}>{null}</Frame>);
    expect(words()).toContain('The clock of this phone is 2 h ahead.');
    await press('Good');
    expect(words()).not.toContain('The clock of this phone');
    visited.push('/shift/w-1');
    await works.show(<Frame person={ann}>{null}</Frame>);
    expect(words()).not.toContain('The clock of this phone');
  });
});

describe('who I am', () => {
  it('is said with role and trade, and signs out at once when everything is sent', async () => {
    works = await TestWorks.open(smallWorks());
    await works.show(<PersonMark />);
    await press('Me');
    expect(words()).toContain('Technician · Mechanical · Test works');
    await press('Sign out');
    expect([usePhone.getState().person, visited.at(-1)]).toEqual([null, '/sign-in']);
  });

  it('is asked before something that was not sent stays behind', async () => {
    works = await TestWorks.open(smallWorks());
    works.server.signal = 'none';
    await perform('note.add', { workOrderId: workId, text: 'Not sent' });
    await works.show(<PersonMark />);
    await press('Me');
    await press('Sign out');
    expect(words()).toContain(
      '1 record is only on this phone. When you sign out, it waits here until you sign in again',
    );
    await press('Stay signed in');
    expect(usePhone.getState().person?.id).toBe(ann.id);
    await press('Me');
    await press('Sign out');
    await press('Sign out all the same');
    expect(usePhone.getState().person).toBeNull();
  });

  it('chooses day or night, and that lasts', async () => {
    works = await TestWorks.open(smallWorks());
    await works.show(<PersonMark />);
    await press('Me');
    await press('Night', 'radio');
    expect([useLighting.getState().lighting, localStorage.getItem('oilcan.lighting')]).toEqual(['night', 'night']);
    await press('As the device', 'radio');
  });
});

describe('my sites', () => {
  it('are chosen in two presses, and are no choice for somebody with one', async () => {
    const sites = [...smallWorks(), put('sites', aSite({ id: otherSite, name: 'Valley' }))];
    works = await TestWorks.open(sites, { ...ann, siteIds: [site, otherSite] as SiteId[] });
    await works.show(<SiteMark />);
    await press('Site: All sites');
    await press('Valley', 'radio');
    expect([useSiteChoice.getState().siteId, canPress('Site: Valley')]).toEqual([otherSite, true]);
    await works.close();
    works = await TestWorks.open(sites);
    await works.show(
      <>
        <SiteMark />
        <Words>The rest</Words>
      </>,
    );
    expect(words()).toBe('The rest');
  });
});

describe('an address where there is nothing', () => {
  it('leads back to the work', async () => {
    works = await TestWorks.open(smallWorks());
    await works.show(<NoPage />);
    await press('To my work');
    expect(visited.at(-1)).toBe('/');
  });
});
