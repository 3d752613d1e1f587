export { StoresScreen as default } from '../../src/features/stores/stores-screen';
