export { SignInScreen as default } from '../src/features/sign-in/sign-in-screen';
