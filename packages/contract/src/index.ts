export * from './errors';
export * from './jobs';
