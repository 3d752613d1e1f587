export * from './left';
export * from './said-about';
