export * from './adjust';
export * from './deviations';
export * from './misclosure';
export { computedOf, observationsOf, readingOf, valueOnPlan } from './observations';
export * from './slips';
export * from './survey';
export { Unknowns } from './unknowns';
export * from './what-next';
