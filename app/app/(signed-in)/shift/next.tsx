export { NextJob as default } from '../../../src/features/finishing/shift/next-job';
