export * from './derive-floor';
export * from './misclosures';
