export { TryCodesScreen as default } from '../../../src/features/scan/try-codes-screen';
