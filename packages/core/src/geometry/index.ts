export * from './arc';
export * from './point';
export * from './polygon';
export * from './segment';
export * from './band';
export * from './clip';
export * from './pieces';
export * from './course';
