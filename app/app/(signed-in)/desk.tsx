export { DeskScreen as default } from '../../src/features/desk/desk-screen';
