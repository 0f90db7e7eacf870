export * from './align';
export * from './beside';
