import { fireEvent, screen } from '@testing-library/react';
import { Checkbox, Chip } from 'react-native-paper';
import { smallWorks } from '@oilcan/core/testing';
import { TestWorks } from '../../testing/works';
import { Choice, Choices } from '../fields/choice';
import { stateOnTheWeb } from './touchable';

describe('choices by the keyboard', () => {
  it('are chosen by space, or by arrows where one of them is, around the ends', async () => {
    const works = await TestWorks.open(smallWorks());
    const chosen: string[] = [];
    await works.show(
      <>
        <Choices label="One">
          {['a', 'b', 'c'].map((each) => (
            <Choice key={each} word={each} isChosen={false} onPress={() => chosen.push(each)} />
          ))}
        </Choices>
        <Choices label="Many" isMany>
          <Choice word="d" isMany isChosen={false} onPress={() => chosen.push('d')} />
        </Choices>
      </>,
    );
    const radio = (name: string) => screen.getByRole('radio', { name });
    radio('a').focus();
    for (const key of ['ArrowRight', 'ArrowDown', 'ArrowRight', 'ArrowLeft'])
      fireEvent.keyDown(document.activeElement ?? document.body, { key });
    expect([chosen, document.activeElement]).toEqual([['b', 'c', 'a', 'c'], radio('c')]);
    const box = screen.getByRole('checkbox', { name: 'd' });
    box.focus();
    fireEvent.keyDown(box, { key: ' ' });
    fireEvent.keyDown(box, { key: ' ', repeat: true });
    fireEvent.keyDown(box, { key: 'ArrowRight' });
    expect(chosen.slice(4)).toEqual(['d']);
    await works.close();
  });
});

describe('the state of what is pressed', () => {
  it('is said in the words of its role, and not where a role has none', () => {
    expect(stateOnTheWeb('checkbox', { checked: 'mixed' })).toEqual({ 'aria-checked': 'mixed' });
    expect(stateOnTheWeb('radio', { selected: false })).toEqual({ 'aria-checked': false });
    expect(stateOnTheWeb('tab', { selected: true })).toEqual({ 'aria-selected': true });
    expect(stateOnTheWeb('button', { checked: true, expanded: false })).toEqual({
      'aria-pressed': true,
      'aria-expanded': false,
    });
    expect(stateOnTheWeb('link', { selected: true, busy: true })).toEqual({ 'aria-busy': true });
    expect(stateOnTheWeb('button', undefined)).toEqual({});
  });

  it('reaches a screen reader from Paper’s own components', async () => {
    const works = await TestWorks.open(smallWorks());
    await works.show(
      <>
        <Checkbox status="checked" onPress={() => undefined} />
        <Chip selected onPress={() => undefined}>
          Late
        </Chip>
        <Choice word="Day" isChosen onPress={() => undefined} />
      </>,
    );
    expect(screen.getByRole('checkbox').getAttribute('aria-checked')).toBe('true');
    expect(screen.getByRole('button', { name: 'Late' }).getAttribute('aria-pressed')).toBe('true');
    expect(screen.getByRole('radio', { name: 'Day' }).getAttribute('aria-checked')).toBe('true');
    await works.close();
  });
});
