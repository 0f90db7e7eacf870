export * from './path-data';
export type { Row } from './row';
export * from './rows';
export * from './svg';
export { scheduleRows } from './schedule-rows';
export { scheduleSheets } from './schedule-sheets';
export { type Thumbnail, thumbnail } from './thumbnail';
