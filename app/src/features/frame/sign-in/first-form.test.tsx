import { act, fireEvent } from '@testing-library/react';
import { OilcanError } from '@oilcan/core/kernel';
import { smallWorks } from '@oilcan/core/testing';
import { httpLink } from '../../../data/server/http-link';
import { signOut, usePhone } from '../../../data/store/store';
import { visited } from '../../../testing/router';
import { TestWorks } from '../../../testing/works';
import { FirstForm, firstForms } from './first-form';

let works: TestWorks;
beforeEach(async () => {
  works = await TestWorks.open(smallWorks());
  await act(async () => signOut());
  const page = document.createElement('div');
  page.id = 'first-paint';
  page.innerHTML = `
    <form id="sign-in"><label>Name<input name="name"></label><label>Password<input name="password" type="password"></label>
    <p id="refused"></p><button>Sign in</button></form>
    <form id="demo"><input type="hidden" name="password" value="secret"><button name="name" value="Ann">Ann</button></form>`;
  document.body.append(page);
});
afterEach(async () => {
  document.getElementById('first-paint')?.remove();
  await works.close();
});

const field = (name: string): HTMLInputElement => firstForms()[0]?.elements.namedItem(name) as HTMLInputElement;
const send = (form: number, submitter: Element | null = null): Promise<void> =>
  act(async () => {
    const event = Object.assign(new Event('submit', { cancelable: true }), { submitter });
    firstForms()[form]?.dispatchEvent(event);
    expect(event.defaultPrevented).toBe(true);
  });
const missing = (): string[] =>
  ['name', 'password'].filter((name) => field(name).getAttribute('aria-invalid') === 'true');
const refused = (): string => document.getElementById('refused')?.textContent ?? '';

describe('the form that the page had before any script', () => {
  it('keeps what was typed before the application came, and signs in with it', async () => {
    field('name').value = 'Ann';
    field('password').value = 'secret';
    await works.show(<FirstForm />);
    expect(field('name').value).toBe('Ann');
    await send(0);
    expect([usePhone.getState().person?.name, visited.at(-1)]).toEqual(['Ann', '/']);
  });

  it('says what is missing, and goes to it', async () => {
    await works.show(<FirstForm />);
    await send(0);
    expect(missing()).toEqual(['name', 'password']);
    expect(document.activeElement).toBe(field('name'));
    fireEvent.change(field('name'), { target: { value: 'Ann' } });
    await send(0);
    expect([missing(), document.activeElement]).toEqual([['password'], field('password')]);
  });

  it('says what was refused, and can be pressed again', async () => {
    const signIn = jest.spyOn(httpLink, 'signIn').mockRejectedValueOnce(new OilcanError('wrong_name_or_password'));
    await works.show(<FirstForm />);
    field('name').value = 'Ann';
    field('password').value = 'wrong';
    await send(0);
    expect(refused()).toContain('Name and password do not fit together.');
    expect(document.querySelector('button')?.disabled).toBe(false);
    await send(0);
    expect(usePhone.getState().person?.name).toBe('Ann');
    signIn.mockRestore();
  });

  it('signs in as the person of a demo that was pressed', async () => {
    await works.show(<FirstForm />);
    await send(1, document.querySelector('#demo button'));
    expect(usePhone.getState().person?.name).toBe('Ann');
  });
});
