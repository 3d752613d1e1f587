export * from './people';
export * from './people-tables';
