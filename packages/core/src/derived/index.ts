export * from './derive-floor';
