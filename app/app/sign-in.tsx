import { piece } from '../src/ui/piece';

export default piece(() => import('../src/features/sign-in/sign-in-screen').then((module) => module.SignInScreen));
