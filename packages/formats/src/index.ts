export * from './csv';
export * from './svg';
