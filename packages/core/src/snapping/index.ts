export * from './hit';
export * from './snap';
