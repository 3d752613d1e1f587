export * from './contacts';
export * from './installation';
export * from './label-code';
export * from './merged';
export * from './plant';
export * from './plant-tables';
export * from './within';
