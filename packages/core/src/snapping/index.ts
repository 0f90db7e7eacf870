export * from './hit';
export * from './snap';
export * from './level';
