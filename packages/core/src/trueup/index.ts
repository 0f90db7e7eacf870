export * from './adjust';
export * from './provenance';
