export * from './complete';
export * from './meaning';
export * from './parse';
export * from './phrase';
export * from './print';
export * from './spoken';
