export * from './fit';
export * from './gaps';
export * from './label';
export * from './swing';
export * from './types';
