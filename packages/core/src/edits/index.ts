export * from './apply';
export * from './intent';
export * from './repair';
