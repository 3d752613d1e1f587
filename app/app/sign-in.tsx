import type { ReactElement } from 'react';
import { usePhone } from '../src/data/store/store';
import { FirstForm, firstForms } from '../src/features/frame/sign-in/first-form';
import { lazyComponent } from '../src/ui/loading/lazy-component';

const SignInScreen = lazyComponent(() =>
  import('../src/features/frame/sign-in/sign-in-screen').then((module) => module.SignInScreen),
);

/** Where the page came with a form to sign in, that one goes on; else, or where there is more to say, the screen. */
export default function SignIn(): ReactElement {
  const isMoreToSay = usePhone(({ keeping, signedOutUnheard }) => keeping !== 'well' || signedOutUnheard !== null);
  return firstForms().length > 0 && !isMoreToSay ? <FirstForm /> : <SignInScreen />;
}
