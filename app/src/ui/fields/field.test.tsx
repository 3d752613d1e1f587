import { screen } from '@testing-library/react';
import { smallWorks } from '@oilcan/core/testing';
import { press } from '../../testing/hands';
import { TestWorks } from '../../testing/works';
import { BottomSheet } from '../layout/bottom-sheet';
import { Field } from './field';
import { List } from '../layout/list';
import { Button } from '../press/press';
import { AppText } from '../theme/app-text';

let works: TestWorks;
beforeEach(async () => {
  works = await TestWorks.open(smallWorks());
});
afterEach(() => works.close());

const idle = (): void => undefined;

describe('a field', () => {
  it('is said with what is wrong with it, or its hint, and its name once', async () => {
    await works.show(<Field label="Length" value="x" onChange={idle} error="In whole numbers." />);
    const field = screen.getByRole('textbox', { name: 'Length' });
    expect(field.getAttribute('aria-invalid')).toBe('true');
    const about = (of: HTMLElement): string | null | undefined =>
      document.getElementById(of.getAttribute('aria-describedby') ?? '')?.textContent;
    expect(about(field)).toBe('In whole numbers.');
    const said = [...document.querySelectorAll('*')].filter(
      (each) =>
        each.textContent === 'Length' && each.children.length === 0 && each.closest('[aria-hidden="true"]') === null,
    );
    expect(said).toEqual([]);
    await works.show(<Field label="Height" value="1" onChange={idle} hint="In millimetres." />);
    const other = screen.getByRole('textbox', { name: 'Height' });
    expect([about(other), other.getAttribute('aria-invalid')]).toEqual(['In millimetres.', null]);
  });
});

describe('a key that cannot be pressed yet', () => {
  it('can be reached, does nothing, and says why, in the sheet where it stands', async () => {
    const onPress = jest.fn();
    const keep = (cannot: string | null) => (
      <BottomSheet title="Sheet" onClose={idle} foot={<Button word="Keep" cannot={cannot} onPress={onPress} />}>
        <AppText>Words</AppText>
      </BottomSheet>
    );
    await works.show(keep('Type a number first.'));
    const key = screen.getByRole('button', { name: 'Keep' });
    expect([key.getAttribute('aria-disabled'), key.tabIndex]).toEqual(['true', 0]);
    await press('Keep');
    expect(onPress).not.toHaveBeenCalled();
    expect(await screen.findByText('Type a number first.')).toBeTruthy();
    await works.show(keep(null));
    expect(screen.getByRole('button', { name: 'Keep' }).getAttribute('aria-disabled')).toBeNull();
    await press('Keep');
    expect(onPress).toHaveBeenCalledTimes(1);
  });
});

describe('a list', () => {
  it('has its name, and each of what is in it is one item', async () => {
    await works.show(
      <List label="Kit">
        <AppText>Seal</AppText>
        {null}
        {['Oil', 'Rag'].map((each) => (
          <AppText key={each}>{each}</AppText>
        ))}
      </List>,
    );
    const list = screen.getByRole('list', { name: 'Kit' });
    expect([...list.children].map((each) => [each.getAttribute('role'), each.textContent])).toEqual([
      ['listitem', 'Seal'],
      ['listitem', 'Oil'],
      ['listitem', 'Rag'],
    ]);
  });
});
