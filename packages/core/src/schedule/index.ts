export * from './checks';
export * from './schedule';
