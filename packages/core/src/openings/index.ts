export * from './fit';
export * from './label';
export * from './swing';
