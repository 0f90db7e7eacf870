export * from './csv';
export * from './path-data';
export * from './svg';
export { scheduleSheets } from './schedule-sheets';
