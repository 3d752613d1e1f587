export * from './people';
export * from './people-tables';
export * from './people-errors';
