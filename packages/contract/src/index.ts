export * from './errors';
export * from './jobs';
export * from './kept-types';
export * from './list';
export * from './logo';
export * from './pictures';
