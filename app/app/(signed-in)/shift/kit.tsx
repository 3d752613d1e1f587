export { KitListScreen as default } from '../../../src/features/kit-list/kit-list-screen';
