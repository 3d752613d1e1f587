import { act } from '@testing-library/react';
import { OilcanError } from '@oilcan/core/kernel';
import { smallWorks } from '@oilcan/core/testing';
import { httpLink } from '../../../data/server/http-link';
import { Unreachable } from '../../../data/server/server-link';
import { signOut, usePhone } from '../../../data/store/store';
import { visited } from '../../../testing/router';
import { press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { SignInScreen } from './sign-in-screen';

let works: TestWorks;
const about = jest.spyOn(httpLink, 'about');
beforeEach(async () => {
  works = await TestWorks.open(smallWorks());
  await act(async () => signOut());
  about.mockResolvedValue({ demo: null });
});
afterEach(() => works.close());

describe('signing in', () => {
  it('asks for both, each at its field', async () => {
    await works.show(<SignInScreen />);
    await press('Sign in');
    expect(words()).toMatch(/Give your name\..*Give your password\./);
  });

  it('leads to the work', async () => {
    await works.show(<SignInScreen />);
    await type('Name', ' Ann ');
    await type('Password', 'secret');
    await press('Sign in');
    expect([usePhone.getState().person?.name, visited.at(-1)]).toEqual(['Ann', '/']);
  });

  it('says when name and password do not fit, and when there is no signal', async () => {
    const signIn = jest.spyOn(httpLink, 'signIn');
    signIn.mockRejectedValueOnce(new OilcanError('wrong_name_or_password')).mockRejectedValueOnce(new Unreachable());
    await works.show(<SignInScreen />);
    await type('Name', 'Ann');
    await type('Password', 'wrong');
    await press('Sign in');
    expect(words()).toContain('Name and password do not fit together.');
    await press('Sign in');
    expect(words()).toMatch(/signal|reached/);
    signIn.mockRestore();
  });

  it('offers the people of a demo with one press', async () => {
    about.mockResolvedValue({
      demo: {
        password: 'mountain',
        people: [{ id: 'ann' as never, name: 'Ann', roles: ['technician'], tradeId: 'mechanical' }],
      },
    });
    await works.show(<SignInScreen />);
    await press(/Ann/);
    expect(usePhone.getState().person?.name).toBe('Ann');
  });
});
