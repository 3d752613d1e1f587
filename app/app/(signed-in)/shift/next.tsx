export { NextJob as default } from '../../../src/features/shift/next-job';
