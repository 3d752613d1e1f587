import { act, screen, within } from '@testing-library/react';
import { asId, OilcanError, type PersonId, type SiteId } from '@oilcan/core/kernel';
import { ann, aPerson, lea, noon, otherSite, put, site, smallWorks, workId, aSite } from '@oilcan/core/testing';
import { listenForInstall } from '../../../data/browser/install';
import { perform, usePhone } from '../../../data/store/store';
import { visited } from '../../../testing/router';
import { canPress, press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { useLighting } from '../../../ui/theme/lighting';
import { AppText } from '../../../ui/theme/app-text';
import { Frame } from './frame';
import { InstallOffer } from '../page/install';
import { NoPage } from './no-page';
import { PersonMark } from './person-mark';
import { SiteMark } from './site-mark';
import { TopBar } from '../page/top-bar';
import { useSiteChoice } from '../page/use-site';

const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });

let works: TestWorks;
afterEach(async () => {
  act(() => usePhone.setState({ keeping: 'well', clockAhead: 0 }));
  await works.close();
});

describe('the frame', () => {
  const places = (): string[] =>
    within(screen.getByRole('navigation', { name: 'Places' }))
      .getAllByRole('link')
      .map((each) => each.textContent ?? '');

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

  it('stands while the rows are read, and says nothing of what it does not know yet', async () => {
    works = await TestWorks.open(smallWorks());
    visited.push('/shift');
    const ready = usePhone.getState();
    act(() => usePhone.setState({ phase: 'opening', person: null, hasRows: false }));
    const opening = (isOpening: boolean) => (
      <Frame person={ann} isOpening={isOpening}>
        <TopBar title="Shift" />
      </Frame>
    );
    await works.show(opening(true));
    expect(places()).toEqual(['Shift', 'Plant', 'Stores']);
    expect(words()).not.toContain('All sent');
    act(() => usePhone.setState(ready));
    await works.show(opening(false));
    expect(words()).toContain('All sent');
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
    expect(words()).toContain('If something was not sent, it is gone');
    await press('I have read it');
    expect(words()).not.toContain('If something was not sent, it is gone');
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
    await press('Night');
    expect(screen.getByRole('button', { name: 'Night' }).getAttribute('aria-pressed')).toBe('true');
    expect(useLighting.getState().value).toBe('night');
    expect(localStorage.getItem('oilcan.lighting')).toContain('night');
    await press('As the device');
  });
});

describe('my sites', () => {
  it('are chosen in two presses, and are no choice for somebody with one', async () => {
    const sites = [...smallWorks(), put('sites', aSite({ id: otherSite, name: 'Valley' }))];
    works = await TestWorks.open(sites, { ...ann, siteIds: [site, otherSite] as SiteId[] });
    await works.show(<SiteMark />);
    await press('Site: All sites');
    await press('Valley', 'radio');
    expect([useSiteChoice.getState().value, canPress('Site: Valley')]).toEqual([otherSite, true]);
    await works.close();
    works = await TestWorks.open(sites);
    await works.show(
      <>
        <SiteMark />
        <AppText>The rest</AppText>
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

describe('what concerns me', () => {
  const device = (id: string, given: object = {}) => ({
    id,
    device: 'Chrome on Android',
    signedInAt: noon,
    lastUsedAt: noon,
    ...given,
  });

  it('has my devices, of which each but this one can be signed out', async () => {
    works = await TestWorks.open(smallWorks());
    const sessions = [device('a', { device: 'Safari on iPhone' }), device('b')];
    works.answers.set('GET /api/sessions', { sessions, present: 'b' });
    works.answers.set('DELETE /api/sessions/a', null);
    await works.show(<PersonMark />);
    await press('Me');
    await press('My devices');
    expect(words()).toContain('Chrome on Android, this one');
    await press('Sign out Safari on iPhone');
    expect(works.questions.map(({ route }) => route)).toContain('DELETE /api/sessions/a');
    expect(works.said).toBe('Safari on iPhone is signed out.');
  });

  it('says without signal that devices show later', async () => {
    works = await TestWorks.open(smallWorks());
    works.answers.set('GET /api/sessions', new OilcanError('not_ready'));
    await works.show(<PersonMark />);
    await press('Me');
    await press('My devices');
    expect(words()).toContain('Your devices show when there is signal.');
  });

  it('makes a calendar link, which is shown once and withdrawn again', async () => {
    works = await TestWorks.open(smallWorks());
    works.answers.set('GET /api/calendar', { link: null });
    works.answers.set('POST /api/calendar', { path: '/api/calendar/abc.ics' });
    works.answers.set('DELETE /api/calendar', null);
    await works.show(<PersonMark />);
    await press('Me');
    await press('My calendar link');
    works.answers.set('GET /api/calendar', { link: { madeAt: noon, readAt: null } });
    await press('Make a link');
    expect(screen.getByDisplayValue(/\/api\/calendar\/abc\.ics$/)).toBeTruthy();
    works.answers.set('GET /api/calendar', { link: null });
    await press('Withdraw it');
    expect(works.questions.map(({ route }) => route)).toContain('DELETE /api/calendar');
    expect(words()).toContain('Make a link');
  });

  it('changes my password, and says at its field what is wrong', async () => {
    works = await TestWorks.open(smallWorks());
    works.answers.set('PUT /api/password', new OilcanError('wrong_password', {}, 'present'));
    await works.show(<PersonMark />);
    await press('Me');
    await press('Change my password');
    await type('Present password', 'wrong');
    await type('New password', 'a new secret');
    await press('Change it');
    expect(words()).toContain('This is not your present password.');
    works.answers.set('PUT /api/password', null);
    await press('Change it');
    expect(works.questions.at(-1)?.body).toEqual({ present: 'wrong', next: 'a new secret' });
    expect(works.said).toBe('Your password is changed. Your other devices are signed out.');
  });
});

describe('installing', () => {
  const offered = (): jest.Mock => {
    const prompt = jest.fn(() => Promise.resolve());
    const event = Object.assign(new Event('beforeinstallprompt', { cancelable: true }), { prompt });
    act(() => void window.dispatchEvent(event));
    return prompt;
  };

  it('is offered once on a list where the browser can, and stays with what concerns me', async () => {
    listenForInstall();
    works = await TestWorks.open(smallWorks());
    await works.show(<InstallOffer />);
    expect(words()).toBe('');
    const prompt = offered();
    expect(words()).toContain('Oilcan can be installed.');
    await press('Not now');
    expect(words()).toBe('');
    await works.show(<InstallOffer />);
    expect([words(), prompt.mock.calls.length]).toEqual(['', 0]);
    await works.show(<PersonMark />);
    await press('Me');
    await press('Install Oilcan');
    expect(prompt).toHaveBeenCalledTimes(1);
    expect(words()).not.toContain('Install Oilcan');
  });
});

describe('the page', () => {
  it('is called after the view that was opened last', async () => {
    works = await TestWorks.open(smallWorks());
    await works.show(
      <>
        <TopBar title="Shift" />
        <TopBar title="W-1" pageTitle="W-1 Seal weeping" />
      </>,
    );
    expect(document.title).toBe('W-1 Seal weeping · Oilcan');
    await works.show(<TopBar title="Shift" />);
    expect(document.title).toBe('Shift · Oilcan');
  });
});
