import { smallWorks } from '@oilcan/core/testing';
import { View } from 'react-native';
import { TestWorks } from '../../../testing/works';
import { press } from '../../../testing/hands';
import { SkipToMain } from './skip-to-main';

it('leads past the head to what the screen is for', async () => {
  const works = await TestWorks.open(smallWorks());
  await works.show(
    <>
      <SkipToMain />
      <View role="main" />
    </>,
  );
  await press('To the content', 'link');
  expect(document.activeElement?.getAttribute('role')).toBe('main');
  await works.close();
});
