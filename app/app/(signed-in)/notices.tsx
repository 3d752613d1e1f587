export { NoticesScreen as default } from '../../src/features/notices/notices-screen';
