export * from './arc';
export * from './point';
export * from './polygon';
export * from './segment';
export * from './clip';
export * from './course';
